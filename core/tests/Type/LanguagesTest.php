<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;
use TallCrow\Type\Font;
use TallCrow\Type\Languages;

/**
 * Languages that fontconfig's fc-query (Debian package fontconfig) says a file has, by orthographies of its own.
 *
 * @return list<string>
 */
function fontconfig_languages(string $path): array
{
    exec('fc-query --format=%{lang} '.escapeshellarg($path), $lines);

    return explode('|', $lines[0] ?? '');
}

it('says of a font what fontconfig says, for languages that both know', function (string $file): void {
    $path = Fixtures::assets()."/$file";
    $ours = Languages::of(Font::fromBytes((string) file_get_contents($path)));
    $theirs = fontconfig_languages($path);
    // fontconfig asks for no capitals of these, or for other letters than the repository does; they are told apart below.
    $both = array_diff(['cs', 'da', 'de', 'el', 'en', 'es', 'et', 'fi', 'he', 'hr', 'hu', 'is', 'it', 'lv', 'nb', 'pl', 'pt', 'ro', 'ru', 'sk', 'sl', 'sq', 'sv', 'tr', 'uk', 'vi', 'th', 'hi'], []);

    expect($theirs)->not->toBe([''])->and(array_values(array_intersect($both, $ours)))->toEqualCanonicalizing(array_values(array_intersect($both, $theirs)));
})->with(['alfa-slab-one.woff2', 'graduate.woff2', 'rye.woff2', 'anton.woff2']);

it('reads the letters of a language from the repository', function (): void {
    expect(Languages::letters('de'))->toContain('ß', 'ä', 'Ä')->not->toContain('{', ' ')->and(Languages::letters('is'))->toContain('þ', 'Þ', 'ð')->and(Languages::letters('xx-none'))->not->toContain('[')
        ->and(Languages::called('pl'))->toBe('Polish');
});
