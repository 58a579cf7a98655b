<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;
use TallCrow\Type\Alignment;
use TallCrow\Type\Bidi;
use TallCrow\Type\Glyph;
use TallCrow\Type\Letter;
use TallCrow\Type\Run;
use TallCrow\Type\Setting;
use TallCrow\Type\Typesetter;

/** As the standard writes its examples: capitals stand for Hebrew letters. */
function hebrew(string $example): string
{
    return (string) preg_replace_callback('/[A-Z]/', fn (array $capital): string => mb_chr(0x05D0 + ord($capital[0]) - ord('A')), $example);
}

/** The line as it is drawn, from left to right. */
function drawn_order(string $line): string
{
    $text = '';
    foreach (Bidi::runs($line) as $run) {
        $part = substr($line, $run->start, $run->length);
        $text .= $run->rightToLeft ? implode('', array_reverse(mb_str_split($part))) : $part;
    }

    return $text;
}

// The first and the third follow the examples of UAX #9 §3.4 (from memory); numbers go by its rules W2, W4 and L2.
it('orders a line of both directions as the standard does', function (string $stored, string $drawn): void {
    expect(drawn_order(hebrew($stored)))->toBe(hebrew($drawn));
})->with([
    ['car means CAR.', 'car means RAC.'],
    ['CAR MEANS car.', '.car SNAEM RAC'],
    ["he said \"\u{2067}car MEANS CAR\u{2069}.\"", "he said \"\u{2067}RAC SNAEM car\u{2069}.\""],
    ['KITE DAY 2026', '2026 YAD ETIK'],
    ['KITE DAY 1,250', '1,250 YAD ETIK'],
    ['size 12 KITE 34', 'size 12 34 ETIK'],
    ['plain words 2026', 'plain words 2026'],
    ['KITES ', ' SETIK'],
    ['car KITES ', 'car SETIK '],
    ['2026', '2026'],
]);

it('has nothing to order in an empty line', function (): void {
    expect(Bidi::runs(''))->toBe([])->and(Fixtures::shelf()->font('alfa-slab-one.woff2')->shape(''))->toBe([]);
});

it('cuts a line into runs that hold each of its bytes once', function (string $line): void {
    $runs = Bidi::runs($line);
    usort($runs, fn (Run $a, Run $b): int => $a->start <=> $b->start);
    $end = 0;
    foreach ($runs as $run) {
        expect($run->start)->toBe($end);
        $end += $run->length;
    }
    expect($end)->toBe(strlen($line));
})->with(['עפיפון kite 12', 'kite (עפיפון)', 'é – ’ 夜', "יוֹם \u{202E}abc\u{202C}", '🪁 kite']);

// HarfBuzz's own hb-shape is the reference for each run, told its direction.
it('sets each run of a mixed line as hb-shape does, one after another', function (): void {
    $font = Fixtures::shelf()->font('suez-one-hebrew.woff2');
    $path = Fixtures::temporary('font').'/font.woff2';
    copy(Fixtures::assets().'/suez-one-hebrew.woff2', $path);
    Fixtures::run(['woff2_decompress', $path]);
    $shape = fn (string $text, string $direction): array => json_decode(Fixtures::run(['hb-shape', '--no-glyph-names', '--no-clusters', '--output-format=json', "--direction=$direction", str_replace('.woff2', '.ttf', $path), $text]), true);
    // Three letters made to go left to right (U+202D to U+202C) after a word that goes as Hebrew does: they come leftmost.
    $line = "עפיפון \u{202D}אבג\u{202C}";
    $theirs = [...$shape('אבג', 'ltr'), ...$shape('עפיפון ', 'rtl')];
    $ours = array_values(array_filter($font->shape($line), fn (Glyph $glyph): bool => $glyph->advance > 0));
    expect(array_map(fn (Glyph $glyph): int => $glyph->id, $ours))->toBe(array_column($theirs, 'g'))
        ->and(array_map(fn (Glyph $glyph): int => (int) round($glyph->advance * $font->unitsPerEm), $ours))->toBe(array_column($theirs, 'ax'));

    $letters = Typesetter::set($line, $font, new Setting(Alignment::Left, 1));
    expect(implode('', array_map(fn (Letter $letter): string => $letter->characters, $letters)))->toBe('אבגןופיפע');
    $lefts = array_map(fn (Letter $letter): float => $letter->path->bounds()->left, $letters);
    $sorted = $lefts;
    sort($sorted);
    expect($lefts)->toBe($sorted);
});
