<?php

declare(strict_types=1);

use TallCrow\Cutout\PatchCut;
use TallCrow\Cutout\Superpixels;
use TallCrow\Raster\Image;

/**
 * A picture of 160 × 80 pixels in 128 patches of about 10 × 10.
 *
 * @param  \Closure(int, int): array{int, int, int}  $colour  by x and y
 */
function patches_of(Closure $colour): Superpixels
{
    $bytes = '';
    for ($y = 0; $y < 80; $y++) {
        for ($x = 0; $x < 160; $x++) {
            $bytes .= implode('', array_map(chr(...), $colour($x, $y)));
        }
    }

    return Superpixels::of(Image::raw($bytes, 160, 80, 3), 128);
}

/**
 * Whether the patches at some points are kept, when those at others are told to be kept and to go.
 *
 * @param  list<array{int, int}>  $kept
 * @param  list<array{int, int}>  $gone
 * @param  list<array{int, int}>  $at
 * @return list<bool>
 */
function kept_at(Superpixels $patches, array $kept, array $gone, array $at): array
{
    $number = fn (array $point): int => $patches->of[$point[1] * 160 + $point[0]];
    $marked = fn (array $points): array => array_fill_keys(array_map($number, $points), true);
    $isKept = PatchCut::of($patches, $marked($kept), $marked($gone));

    return array_map(fn (array $point): bool => $isKept[$number($point)], $at);
}

const RED = [176, 60, 40];
const GREEN = [60, 120, 60];
const GREY = [128, 128, 128];

it('keeps to the colours that were scribbled on', function (): void {
    $patches = patches_of(fn (int $x, int $y): array => $x < 80 ? RED : GREEN);
    expect(kept_at($patches, [[20, 20]], [[140, 60]], [[5, 5], [74, 75], [74, 5], [86, 5], [86, 75], [155, 5]]))->toBe([true, true, true, false, false, false]);
});

it('ends at an edge where both sides are of one colour', function (int $wall): void {
    // The scribbles lie as far from the wall as they do not: only the edge can tell.
    $patches = patches_of(fn (int $x, int $y): array => $x >= $wall && $x < $wall + 8 ? [20, 20, 20] : GREY);
    expect(kept_at($patches, [[5, 40]], [[155, 40]], [[$wall - 8, 10], [$wall - 8, 70], [$wall + 16, 10], [$wall + 16, 70]]))->toBe([true, true, false, false]);
})->with([30, 76, 122]);

it('goes by colour far from the scribbles', function (array $kept, array $gone): void {
    // Stripes of two patches and of one; only some at the left are scribbled on.
    $patches = patches_of(fn (int $x, int $y): array => $x % 30 < 20 ? $kept : $gone);
    expect(kept_at($patches, [[5, 5], [5, 35], [15, 15], [5, 65]], [[25, 5], [25, 45], [25, 75]], [[35, 40], [45, 10], [55, 40], [95, 70], [85, 40], [115, 5], [128, 40], [155, 75]]))
        ->toBe([true, true, false, true, false, false, true, true]);
})->with([
    'by hue' => [[176, 60, 40], [60, 120, 60]],
    'by lightness' => [[190, 190, 190], [90, 90, 90]],
    'by lightness, the other way' => [[90, 90, 90], [190, 190, 190]],
    'by yellow and blue' => [[150, 140, 60], [140, 140, 190]],
]);

it('goes by what lies about it where a colour was scribbled on by neither', function (): void {
    $patches = patches_of(fn (int $x, int $y): array => match (true) {
        $y >= 30 && $y < 50 && ($x % 80 >= 30 && $x % 80 < 50) => RED,
        $x < 80 => GREY,
        default => GREEN,
    });
    expect(kept_at($patches, [[5, 5], [65, 75]], [[155, 5], [95, 75]], [[40, 40], [35, 35], [120, 40], [115, 45], [40, 10], [120, 10]]))->toBe([true, true, false, false, true, false]);
});

it('is not led astray by grain', function (): void {
    mt_srand(3);
    $grain = array_map(fn (): int => mt_rand(-30, 30), range(1, 160 * 80));
    $patches = patches_of(fn (int $x, int $y): array => array_map(fn (int $level): int => max(0, min(255, $level + $grain[$y * 160 + $x])), $x < 80 ? RED : GREEN));
    $at = array_map(fn (int $n): array => [[5, 40, 72, 88, 120, 155][$n % 6], 6 + 11 * intdiv($n, 6)], range(0, 41));
    expect(kept_at($patches, [[20, 20]], [[140, 60]], $at))->toBe(array_map(fn (array $point): bool => $point[0] < 80, $at));
});

it('keeps what is joined to a scribble or nearly so, and nothing farther off that is of its colour', function (): void {
    // Bars of red: one that is scribbled on, one beyond a gap of a patch, and one far off.
    $patches = patches_of(fn (int $x, int $y): array => $x < 30 || ($x >= 40 && $x < 60) || $x >= 130 ? RED : GREEN);
    expect(kept_at($patches, [[10, 10]], [[95, 40]], [[10, 70], [50, 10], [50, 70], [145, 10], [145, 70], [95, 10]]))->toBe([true, true, true, false, false, false]);
});

it('keeps all where nothing is told to go, and what was scribbled on at any rate', function (): void {
    $patches = patches_of(fn (int $x, int $y): array => $x < 80 ? RED : GREEN);
    expect(kept_at($patches, [[20, 20], [140, 60]], [], [[5, 5], [155, 5]]))->toBe([true, true])
        ->and(kept_at($patches, [[20, 20], [140, 20]], [[140, 60], [40, 60]], [[20, 20], [140, 20], [140, 60], [40, 60]]))->toBe([true, true, false, false]);
});
