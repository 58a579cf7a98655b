<?php

declare(strict_types=1);

use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;
use TallCrow\Type\Letter;

const AROUND_PPI = 150;

/**
 * @param  array<string, mixed>  $line
 * @param  array<string, mixed>  $place
 * @return array<string, mixed> black words around a circle, with capitals of 0.3 in
 */
function words_around(string $text, array $line, array $place = [], string $font = 'graduate'): array
{
    $words = Fixtures::words('w', $text, 2, ['source' => ['font' => "$font.woff2"], 'effects' => [['kind' => 'fill', 'colour' => '#000000'], ['kind' => 'around'] + $line]]);
    $words['placement'] = $place + ['x' => 1.5, 'y' => 2, 'width' => null, 'height' => null, 'capitals' => 0.3];

    return $words;
}

/** @param  array<string, mixed>  $words */
function ink_around(array $words): Image
{
    return Fixtures::render(Fixtures::artwork([$words]), AROUND_PPI)->alpha();
}

/**
 * How near to a point and how far from it there is ink, in inches.
 *
 * @return array{float, float}
 */
function ink_between(Image $ink, float $x, float $y): array
{
    [$near, $far] = [INF, 0.0];
    foreach (str_split($ink->toBytes(), $ink->width()) as $row => $bytes) {
        foreach (str_split($bytes) as $column => $byte) {
            if (ord($byte) > 127) {
                $off = hypot(($column + 0.5) / AROUND_PPI - $x, ($row + 0.5) / AROUND_PPI - $y);
                [$near, $far] = [min($near, $off), max($far, $off)];
            }
        }
    }

    return [$near, $far];
}

// Capitals of 0.3 in on a circle of 2 in through their middle: a band from 0.85 to 1.15 in, and the corners of wide letters a little further out.
it('stands words in one band around the place that is told, over the top and under the foot, whatever they say', function (string $text, string $side, float $turn): void {
    [$near, $far] = ink_between(ink_around(words_around($text, ['diameter' => 2, 'side' => $side], ['turn' => $turn])), 1.5, 2);
    expect($near)->toEqualWithDelta(0.85, 1.5 / AROUND_PPI)->and($far)->toBeGreaterThan(1.15 - 1.0 / AROUND_PPI)->toBeLessThan(1.15 + 0.05);
})->with(['TIDE', 'HILL MEN FLIT'])->with(['over', 'under'])->with([0.0, 107.0]);

it('reads clockwise over the top and with its heads to the centre under the foot', function (): void {
    $letters = fn (string $side): array => Fixtures::renderer()->placer->place(Fixtures::artwork([words_around('TIDE', ['diameter' => 2, 'side' => $side])])->layers[0])->letters ?? [];
    [$over, $under] = [$letters('over'), $letters('under')];
    expect($over[0]->x)->toBeLessThan($over[3]->x)->and($under[0]->x)->toBeLessThan($under[3]->x)
        ->and(Letter::together($over)->bounds()->centreY())->toBeLessThan(1.3)->and(Letter::together($under)->bounds()->centreY())->toBeGreaterThan(2.7)
        // Both are read upright in their middle.
        ->and($over[1]->down[1])->toBeGreaterThan(0)->and($under[1]->down[1])->toBeGreaterThan(0);
});

it('makes the circle as large as words need that are longer', function (): void {
    $letters = Fixtures::renderer()->placer->place(Fixtures::artwork([words_around(str_repeat('KITES ', 6).'KITES', ['diameter' => 1])])->layers[0])->letters ?? [];
    $angle = fn (Letter $letter): float => atan2($letter->x - 1.5, 2 - $letter->baseline);
    // All the way round and no further: the last letter ends where the first begins.
    expect($angle($letters[0]))->toBeLessThan(-2.9)->and($angle($letters[count($letters) - 1]))->toBeGreaterThan(2.9)
        ->and(array_map($angle, $letters))->toBe((function (array $angles): array {
            sort($angles);

            return $angles;
        })(array_map($angle, $letters)));
});

it('keeps the width that is asked for, on the circle that is asked for', function (): void {
    $ink = ink_around(words_around('TIDE', ['diameter' => 2.4], ['capitals' => null, 'width' => 1.8]));
    expect(($ink->isMore(127.0)->inkBox() ?? [0, 0, 0, 0])[2])->toEqualWithDelta(1.8 * AROUND_PPI, 1.5);
    $placing = Fixtures::renderer()->placer->place(Fixtures::artwork([words_around('TIDE', ['diameter' => 2.4], ['capitals' => null, 'width' => 1.8])])->layers[0]);
    $capital = hypot(...$placing->letters[0]->down) * Fixtures::shelf()->font('graduate.woff2')->capHeight();
    expect(ink_between($ink, 1.5, 2)[0])->toEqualWithDelta((2.4 - $capital) / 2, 1.5 / AROUND_PPI);
});

it('masks such words by their own box', function (): void {
    $words = words_around('IIIIIIIIIII', ['diameter' => 2]);
    [$left, , $width] = ink_around($words)->isMore(127.0)->inkBox() ?? [0, 0, 0, 0];
    $words['masks'] = [['kind' => 'rectangle', 'x' => 0.25, 'y' => 0.5, 'width' => 0.5, 'height' => 1, 'feather' => 0]];
    [$from, , $half] = ink_around($words)->isMore(127.0)->inkBox() ?? [0, 0, 0, 0];
    expect($from)->toBe($left)->and($from + $half)->toBeLessThanOrEqual($left + $width / 2 + 1)->toBeGreaterThan($left + $width / 2 - 12);
});

it('turns back to the middle of its ink under a later warp', function (): void {
    $words = words_around('TIDE', ['diameter' => 2]);
    $words['effects'][] = ['kind' => 'stretch', 'down' => 0.5];
    [$left, $top, $width, $height] = ink_around($words)->isMore(127.0)->inkBox() ?? [0, 0, 0, 0];
    expect(($left + $width / 2) / AROUND_PPI)->toEqualWithDelta(1.5, 0.01)->and(($top + $height / 2) / AROUND_PPI)->toEqualWithDelta(2, 0.01);
});
