<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;
use TallCrow\Type\Alignment;
use TallCrow\Type\Bidi;
use TallCrow\Type\Font;
use TallCrow\Type\Glyph;
use TallCrow\Type\Letter;
use TallCrow\Type\Run;
use TallCrow\Type\Scripts;
use TallCrow\Type\Setting;
use TallCrow\Type\Typesetter;

/** Debian's fonts-lohit-deva: letters of Devanagari and Latin. */
const DEVANAGARI = '/usr/share/fonts/truetype/lohit-devanagari/Lohit-Devanagari.ttf';

/** Debian's fonts-dejavu-core: letters of Latin, Hebrew and Arabic. */
const DEJAVU = '/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf';

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

/** @return list<float> the middle of each letter's room, in ems, from left to right */
function middles_of(string $line, Setting $setting): array
{
    return array_map(fn (Letter $letter): float => round($letter->x, 6), Typesetter::set($line, Font::fromBytes((string) file_get_contents(DEJAVU)), $setting));
}

// CSS Text 3, 8.3.1: no spacing between letters of a cursive script, unless the strokes that join them are drawn out.
it('puts no room between letters that join, only about their words', function (string $line, array $moved): void {
    $plain = new Setting(Alignment::Left, 1.0);
    $by = array_map(fn (float $spaced, float $was): int => (int) round(1000 * ($spaced - $was)), middles_of($line, $plain->withTracking(100.0)), middles_of($line, $plain));
    expect($by)->toBe($moved);
})->with([
    'one word' => ["\u{0633}\u{0648}\u{0642}", [0, 0, 0]],
    'two words, the first at the right' => ["\u{0633}\u{0648} \u{0642}\u{0645}", [0, 0, 200, 200]],
    'a lengthened join' => ["\u{0633}\u{0640}\u{0642}", [0, 0, 0]],
    'figures' => ["\u{0661}\u{0662}\u{0663}", [0, 100, 200]],
    'letters that do not join' => ['קמר', [0, 100, 200]],
    'both' => ["AB \u{0633}\u{0642}", [0, 100, 300, 300]],
]);

it('kerns a pair in the order in which it is read', function (): void {
    $plain = new Setting(Alignment::Left, 1.0);
    $moved = fn (string $pair): array => array_map(fn (float $kerned, float $was): int => (int) round(1000 * ($kerned - $was)), middles_of('קמר', $plain->withKern($pair, 50)), middles_of('קמר', $plain));
    expect($moved('קמ'))->toBe([0, 0, 50])->and($moved('מר'))->toBe([0, 50, 50])->and($moved('מק'))->toBe([0, 0, 0]);
});
