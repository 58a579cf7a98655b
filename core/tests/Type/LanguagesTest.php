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

it('counts the characters of a font and tells its weight as fontconfig does', function (string $file, string $name): void {
    $path = is_file($file) ? $file : Fixtures::assets()."/$file";
    $font = Font::fromBytes((string) file_get_contents($path));
    exec('fc-query --format="%{charset}\n%{weight}\n" '.escapeshellarg($path), $lines);
    $theirs = array_sum(array_map(function (string $range): int {
        [$from, $to] = [...explode('-', $range), $range];

        return hexdec(str_contains($range, '-') ? $to : $from) - hexdec($from) + 1;
    }, explode(' ', $lines[0])));
    // fontconfig's own scale: 0 thin, 40 extra-light, 50 light, 80 regular, 100 medium, 180 semi-bold, 200 bold, 205 extra-bold, 210 black (fontconfig.h).
    $classes = ['thin' => 0, 'extra-light' => 40, 'light' => 50, 'regular' => 80, 'medium' => 100, 'semi-bold' => 180, 'bold' => 200, 'extra-bold' => 205, 'black' => 210];

    expect($font->characters())->toHaveCount($theirs)->and($font->weight()->called())->toBe($name)->and($classes[$name])->toBe((int) $lines[1]);
})->with([['rye.woff2', 'regular'], ['anton.woff2', 'regular'], ['courier-prime.woff2', 'regular'], ['/usr/share/fonts/truetype/dejavu/DejaVuSans-Bold.ttf', 'bold'], ['/usr/share/fonts/truetype/dejavu/DejaVuSans-ExtraLight.ttf', 'extra-light']]);
