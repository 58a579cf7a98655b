<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Cutout\Superpixels;
use TallCrow\Raster\Image;

/** A small picture of three bands. @param  Closure(int, int): string  $colour  "#rrggbb" at a place */
function speckled(int $width, int $height, Closure $colour): Image
{
    $bytes = '';
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $bytes .= pack('H*', substr($colour($x, $y), 1));
        }
    }

    return Image::raw($bytes, $width, $height, 3);
}

/** Pixels of each patch. @return array<int, int> */
function patch_sizes(Superpixels $patches): array
{
    return array_count_values($patches->of);
}

it('gives every pixel a patch, about as many patches as were asked for, of like size where nothing is to be seen', function (int $width, int $height, int $count): void {
    $patches = Superpixels::of(speckled($width, $height, fn (): string => '#6d7a2c'), $count);
    $sizes = patch_sizes($patches);
    expect($patches->of)->toHaveCount($width * $height)->and(array_sum($sizes))->toBe($width * $height)
        ->and(count($patches->colours))->toBeGreaterThan(0.7 * $count)->toBeLessThan(1.35 * $count)
        ->and(min($sizes))->toBeGreaterThan(0.4 * $width * $height / $count)->and(max($sizes))->toBeLessThan(2.0 * $width * $height / $count);
})->with([[60, 40, 24], [48, 48, 36], [90, 30, 27]]);

// The paper's first demand: patches keep to the edges of what is seen.
it('keeps to edges, whatever their way', function (Closure $isDark): void {
    $patches = Superpixels::of(speckled(64, 64, fn (int $x, int $y): string => $isDark($x, $y) ? '#1f1d1a' : '#f3ead7'), 64);
    $dark = $all = [];
    foreach ($patches->of as $at => $patch) {
        $all[$patch] = ($all[$patch] ?? 0) + 1;
        $dark[$patch] = ($dark[$patch] ?? 0) + ($isDark($at % 64, intdiv($at, 64)) ? 1 : 0);
    }
    // Pixels that lie in a patch of the other kind: the paper calls it undersegmentation.
    $wrong = array_sum(array_map(fn (int $of, int $own): int => min($own, $of - $own), $all, array_map(fn (int $patch): int => $dark[$patch], array_keys($all))));
    expect($wrong / 64 / 64)->toBeLessThan(0.005);
})->with([
    'upright' => [fn (int $x, int $y): bool => $x < 29], 'slanting' => [fn (int $x, int $y): bool => $x + 2 * $y < 90], 'round' => [fn (int $x, int $y): bool => hypot($x - 31, $y - 33) < 19.5],
    'a bar' => [fn (int $x, int $y): bool => $y > 20 && $y < 27],
]);

it('tells the mean colour of each patch, in Lab', function (): void {
    $colour = fn (int $x, int $y): string => sprintf('#%02x%02x%02x', 40 + 3 * $x, 200 - 2 * $y, 90 + ($x * 7 + $y * 13) % 20);
    $patches = Superpixels::of(speckled(48, 32, $colour), 12);
    $sums = [];
    foreach ($patches->of as $at => $patch) {
        $lab = Srgb::hex($colour($at % 48, intdiv($at, 48)))->toLab();
        $sums[$patch] = array_map(fn (float $sum, float $own): float => $sum + $own, $sums[$patch] ?? [0.0, 0.0, 0.0, 0.0], [$lab->l, $lab->a, $lab->b, 1.0]);
    }
    foreach ($sums as $patch => [$l, $a, $b, $many]) {
        // libvips takes Lab from tables: a hundredth of a unit.
        expect($patches->colours[$patch])->toEqualWithDelta([$l / $many, $a / $many, $b / $many], 0.02);
    }
});

it('counts the pixels along which patches touch, each pair once', function (): void {
    $patches = Superpixels::of(speckled(30, 20, fn (int $x, int $y): string => $x < 14 ? '#b04a2c' : ($y < 11 ? '#17404a' : '#d9a441')), 8);
    $counted = [];
    for ($y = 0; $y < 20; $y++) {
        for ($x = 0; $x < 30; $x++) {
            foreach ([[1, 0], [0, 1]] as [$dx, $dy]) {
                if ($x + $dx < 30 && $y + $dy < 20) {
                    $pair = [$patches->of[$y * 30 + $x], $patches->of[($y + $dy) * 30 + $x + $dx]];
                    sort($pair);
                    $pair[0] === $pair[1] ?: $counted[implode(' ', $pair)] = ($counted[implode(' ', $pair)] ?? 0) + 1;
                }
            }
        }
    }
    $borders = $patches->borders();
    ksort($borders);
    ksort($counted);
    expect($borders)->toBe($counted)->and(count($borders))->toBeGreaterThan(6);
});

it('holds a picture of one pixel, and more patches than pixels', function (): void {
    expect(Superpixels::of(speckled(1, 1, fn (): string => '#b04a2c'), 50)->of)->toBe([0])
        ->and(array_sum(patch_sizes(Superpixels::of(speckled(5, 4, fn (int $x): string => $x < 2 ? '#000000' : '#ffffff'), 500))))->toBe(20);
});
