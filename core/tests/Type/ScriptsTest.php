<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;
use TallCrow\Type\Bidi;
use TallCrow\Type\Font;
use TallCrow\Type\Glyph;
use TallCrow\Type\Run;
use TallCrow\Type\Scripts;

/** Debian's fonts-lohit-deva: letters of Devanagari and Latin. */
const DEVANAGARI = '/usr/share/fonts/truetype/lohit-devanagari/Lohit-Devanagari.ttf';

/** @return list<string> in visual order */
function parts_by_script(string $line): array
{
    return array_map(fn (Run $run): string => substr($line, $run->start, $run->length), Scripts::split($line, Bidi::runs($line)));
}

// By UAX #24: characters common to all scripts go with those before them, brackets that close as those that opened (section 5.1, 5.2).
it('splits a line where its script changes', function (string $line, array $parts): void {
    expect(parts_by_script($line))->toBe($parts);
})->with([
    ['', []],
    ['Moth night, 26!', ['Moth night, 26!']],
    ['Café Ñandú', ['Café Ñandú']],
    ['Moth हिन्दी', ['Moth ', 'हिन्दी']],
    ['हिन्दी Moth 26', ['हिन्दी ', 'Moth 26']],
    ['26 हिन्दी', ['26 हिन्दी']],
    ['Moth (हिन्दी), 26', ['Moth (', 'हिन्दी', '), 26']],
    ['“हिन्दी” [Moth]', ['“हिन्दी” [', 'Moth', ']']],
    ['(Moth) हिन्दी)', ['(Moth) ', 'हिन्दी)']],
    ['Змей Kite αετός', ['Змей ', 'Kite ', 'αετός']],
    // Within a run from right to left, the part that is read first is drawn last.
    ["קמר \u{0642}\u{0645}\u{0631}", ["\u{0642}\u{0645}\u{0631}", 'קמר ']],
    ["Moth \u{0642}\u{0645}\u{0631} kite", ['Moth ', "\u{0642}\u{0645}\u{0631}", ' kite']],
    ['26 – 27', ['26 – 27']],
]);

it('keeps the direction of each part, and each byte once', function (): void {
    $line = "kite קמר \u{0642}\u{0645}\u{0631} (Змей) हिन्दी";
    $runs = Scripts::split($line, Bidi::runs($line));
    $bytes = array_merge(...array_map(fn (Run $run): array => range($run->start, $run->start + $run->length - 1), $runs));
    sort($bytes);
    expect($bytes)->toBe(range(0, strlen($line) - 1));
    foreach ($runs as $run) {
        expect($run->rightToLeft)->toBe(preg_match('/[\x{0590}-\x{06FF}]/u', substr($line, $run->start, $run->length)) === 1);
    }
});

it('shapes each word by the rules of its own script, as HarfBuzz shapes it alone', function (string $line, array $words): void {
    $alone = fn (string $word): array => array_map(intval(...), array_filter(explode('|', trim(Fixtures::run(['hb-shape', '--no-glyph-names', '--no-clusters', '--no-positions', DEVANAGARI, $word]), "[]\n")), fn (string $id): bool => $id !== ''));
    $font = Font::fromBytes((string) file_get_contents(DEVANAGARI));
    expect(array_map(fn (Glyph $glyph): int => $glyph->id, $font->shape($line)))->toBe(array_merge(...array_map($alone, $words)));
})->with([
    ['Moth हिन्दी', ['Moth ', 'हिन्दी']],
    ['हिन्दी Moth', ['हिन्दी ', 'Moth']],
    ['Moth (हिन्दी) kite', ['Moth (', 'हिन्दी', ') kite']],
    ['26 र्कि', ['26 र्कि']],
]);
