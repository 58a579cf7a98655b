<?php

declare(strict_types=1);

use TallCrow\Look\Grain;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;

/** @return array{float, float} the least and the greatest difference of a window from the same part of a larger one */
function window_off(float $ppi, int $left, int $top): array
{
    $whole = Grain::field(260, 240, 0.02, 5, $ppi, [$left, $top]);

    return Grain::field(120, 100, 0.02, 5, $ppi, [$left + 83, $top + 61])->minus($whole->crop(83, 61, 120, 100))->range();
}

/** Correlation of two bands of one size. */
function correlated(Image $one, Image $other): float
{
    [$a, $b] = array_map(fn (Image $image): Image => $image->linear(1.0, -$image->mean()), [$one, $other]);

    return $a->multiplied($b)->mean() / sqrt($a->multiplied($a)->mean() * $b->multiplied($b)->mean());
}

it('is of one grain wherever its window lies, at every ppi', function (float $ppi): void {
    foreach ([[0, 0], [1500, 700], [-45, -120]] as [$left, $top]) {
        expect(window_off($ppi, $left, $top))->toEqualWithDelta([0.0, 0.0], 1.0);
    }
})->with([300.0, 150.0, 100.0, 80.0, 75.0, 60.0, 43.0]);

it('is in a proof the print\'s own, averaged', function (int $by, float $sigma): void {
    // Averages lie nearer to the middle than what they are made of, so that levels differ and their order does not.
    $print = Grain::field(160 * $by, 150 * $by, $sigma, 9, 300, [30 * $by, 12 * $by]);
    $proof = Grain::field(160, 150, $sigma, 9, 300 / $by, [30, 12]);
    expect(correlated($print->shrunk($by), $proof))->toBeGreaterThan(0.98);
})->with([[2, 0.003], [3, 0.003], [3, 0.02], [5, 0.006]]);

it('lies between the pixels of a finer grid where no blocks of the print fit', function (): void {
    // At 80 ppi a pixel is 3.75 of the print; the same spots at 300 ppi, made small by a filter, show the same grain.
    $print = Grain::field(900, 900, 0.02, 4, 300, [300, 600]);
    expect(correlated($print->resized(80 / 300), Grain::field(240, 240, 0.02, 4, 80, [80, 160])))->toBeGreaterThan(0.97);
});

it('has every level as often as any other, and another grain for every seed', function (): void {
    $field = Grain::field(1500, 1500, 0.004, 1, 300, [0, 0]);
    foreach (array_chunk(Histogram::of($field), 32) as $eighth) {
        expect(array_sum($eighth) / 1500 ** 2)->toBeBetween(0.115, 0.135);
    }
    expect(abs(correlated($field, Grain::field(1500, 1500, 0.004, 2, 300, [0, 0]))))->toBeLessThan(0.02)
        ->and($field->mean())->toEqualWithDelta(127.5, 1.5);
});

it('does not repeat within a sheet', function (): void {
    $field = Grain::field(2400, 300, 0.01, 3, 300, [0, 0]);
    foreach ([510, 570, 630, 690, 1020, 1140, 1530, 1710] as $shift) {
        expect(correlated($field->crop(0, 0, 600, 300), $field->crop($shift, 0, 600, 300)))->toBeLessThan(0.45);
    }
});
