<?php

declare(strict_types=1);

use TallCrow\Noise\Bell;
use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;

// Values of the normal distribution as any table of it has them (for example Abramowitz and Stegun, tables 26.1 and 26.5).
it('knows what share of a bell lies below a place', function (float $deviations, float $share): void {
    expect(Bell::below($deviations))->toEqualWithDelta($share, 1e-6)->and(Bell::below(-$deviations))->toEqualWithDelta(1 - $share, 1e-6);
})->with([[0.0, 0.5], [0.25, 0.5987063], [0.5, 0.6914625], [1.0, 0.8413447], [1.5, 0.9331928], [1.96, 0.9750021], [2.0, 0.9772499], [2.5758, 0.9949996], [3.0, 0.9986501], [4.0, 0.9999683]]);

it('knows below which place a share of a bell lies', function (float $share, float $deviations): void {
    // The formula states its own error as 4.5e-4.
    expect(Bell::deviations($share))->toEqualWithDelta($deviations, 4.5e-4)->and(Bell::deviations(1 - $share))->toEqualWithDelta(-$deviations, 4.5e-4);
})->with([[0.5, 0.0], [0.6, 0.2533471], [0.75, 0.6744898], [0.9, 1.2815516], [0.95, 1.6448536], [0.99, 2.3263479], [0.999, 3.0902323]]);

it('has no place for shares of nothing or all that is not a number', function (): void {
    expect(is_finite(Bell::deviations(0.0)))->toBeTrue()->and(is_finite(Bell::deviations(1.0)))->toBeTrue()->and(Bell::deviations(0.0))->toBeLessThan(-6.0)->and(Bell::deviations(1.0))->toBeGreaterThan(6.0);
});

/** @return list<int> */
function noise_levels(Image $field): array
{
    return array_map(intval(...), array_values((array) unpack('C*', $field->toBytes())));
}

/** How alike a field is to itself so many pixels further, from −1 to 1. */
function likeness_at(Image $field, int $across, int $down): float
{
    $side = 300;
    [$one, $other] = [noise_levels($field->tiled(0, 0, $side, $side)->settled()), noise_levels($field->tiled(-$across, -$down, $side, $side)->settled())];
    $mean = fn (array $all): float => array_sum($all) / count($all);
    [$a, $b] = [$mean($one), $mean($other)];
    $products = $squares = $others = 0.0;
    foreach ($one as $i => $level) {
        $products += ($level - $a) * ($other[$i] - $b);
        $squares += ($level - $a) ** 2;
        $others += ($other[$i] - $b) ** 2;
    }

    return $products / sqrt($squares * $others);
}

it('has every level as often in grain, and blobs of about four sigma', function (float $sigma): void {
    $grain = Field::grain(11, $sigma)->settled();
    expect([$grain->width(), $grain->height(), $grain->bands()])->toBe([Field::SIDE, Field::SIDE, 1]);
    $levels = Histogram::of($grain);
    foreach ([0, 64, 128, 192] as $from) {
        expect(array_sum(array_slice($levels, $from, 64)) / Field::SIDE ** 2)->toEqualWithDelta(0.25, 0.02);
    }
    // White noise under a kernel is as like itself as the kernel is: here a bell that ends where it has fallen to a fifth, as the library cuts it.
    $kernel = fn (int $at): float => exp(-$at ** 2 / (2 * $sigma ** 2)) < 0.2 ? 0.0 : exp(-$at ** 2 / (2 * $sigma ** 2));
    $overlap = fn (int $far): float => array_sum(array_map(fn (int $at): float => $kernel($at) * $kernel($at + $far), range(-40, 40)));
    foreach ([1.0, 2.0, 4.0] as $far) {
        $distance = (int) round($far * $sigma);
        expect(likeness_at($grain, $distance, 0))->toEqualWithDelta($overlap($distance) / $overlap(0), 0.08);
    }
})->with([3.0, 6.0]);

it('meets itself at the edges', function (Image $field): void {
    // From the last column to the first is no greater a step than from any other to its next.
    $step = function (int $x) use ($field): float {
        $pair = $field->tiled(-$x, 0, 2, 600)->settled();
        [$one, $next] = [noise_levels($pair->crop(0, 0, 1, 600)), noise_levels($pair->crop(1, 0, 1, 600))];

        return array_sum(array_map(fn (int $a, int $b): int => abs($a - $b), $one, $next)) / 600;
    };
    $others = max(array_map($step, [101, 403, 599, 777, 1199, 1799]));
    expect($step($field->width() - 1))->toBeLessThan($others * 1.4 + 1.0);
})->with([
    'clouds' => [fn (): Image => Field::clouds(4, 800, 6)->settled()],
    'clouds of cells whose halves do not fit the side' => [fn (): Image => Field::clouds(4, 600, 5)->settled()],
    'grain' => [fn (): Image => Field::grain(4, 5.0)->settled()],
    'strokes' => [fn (): Image => Field::strokes(4, 12, 60)->settled()],
]);

it('runs strokes along the rows', function (): void {
    $strokes = Field::strokes(9, 12, 80)->settled();
    expect(likeness_at($strokes, 40, 0))->toBeGreaterThan(0.8)->and(abs(likeness_at($strokes, 0, 60)))->toBeLessThan(0.25);
});

it('makes threads of just so many pixels each way', function (): void {
    $threads = Field::threads(2, 60, 4)->settled();
    foreach ([[0, 0], [600, 400], [1200, 804]] as [$x, $y]) {
        expect(count(array_unique(noise_levels($threads->crop($x, $y, 60, 4)))))->toBe(1);
    }
    expect(count(array_unique(noise_levels($threads->crop(0, 0, 2400, 1)))))->toBeGreaterThan(30);
});

it('asks for as many patches as fill twenty inches at a scale, and no more than six', function (float $scale, int $across): void {
    expect(Patchwork::across($scale))->toBe($across);
})->with([[1.0, 4], [2.0, 2], [4.0, 1], [8.0, 1], [0.7, 6], [0.1, 6], [1.4, 3], [1.3, 4], [1.9, 3]]);

it('keeps the levels of a field where it makes it wider, and shows no place of it twice', function (): void {
    $field = Field::grain(6, 8.0)->settled();
    $wide = Patchwork::wide($field, 6, 2);
    expect([$wide->width(), $wide->height()])->toBe([2 * Patchwork::PATCH, 2 * Patchwork::PATCH]);
    $levels = Histogram::of($wide);
    foreach ([0, 64, 128, 192] as $from) {
        expect(array_sum(array_slice($levels, $from, 64)) / (2 * Patchwork::PATCH) ** 2)->toEqualWithDelta(0.25, 0.01);
    }
    // The field itself comes again after its side; the wide one is not alike there, nor a patch further.
    expect(likeness_at($field, Field::SIDE, 0))->toEqualWithDelta(1.0, 1e-9);
    foreach ([[Field::SIDE, 0], [Patchwork::PATCH, 0], [0, Patchwork::PATCH], [Patchwork::PATCH, Patchwork::PATCH]] as [$x, $y]) {
        expect(abs(likeness_at($wide, $x, $y)))->toBeLessThan(0.3);
    }
});

it('gives the same field for the same number, and another for another', function (): void {
    expect(md5(Field::clouds(3, 300, 2)->toBytes()))->toBe(md5(Field::clouds(3, 300, 2)->toBytes()))->not->toBe(md5(Field::clouds(4, 300, 2)->toBytes()));
});

/** Mean square of the steps between pixels that lie so far from one another, in units of the field's own variance. */
function roughness(Image $field, int $far): float
{
    $steps = $field->asNumbers()->minus($field->tiled($far, 0, $field->width(), $field->height())->asNumbers())->settled();

    return ($steps->deviation() ** 2 + $steps->mean() ** 2) / $field->deviation() ** 2;
}

// Gradient noise of half the size and half the height is as steep: each octave adds as much to the square of a step, and a quarter of what the last did to the
// variance (fractional noise of gain 1/2 and lacunarity 2; K. Perlin, "An Image Synthesizer", 1985).
it('adds octaves of half the size and half the height', function (int $octaves): void {
    $variance = array_sum(array_map(fn (int $i): float => 0.25 ** $i, range(0, $octaves - 1)));
    $ratios = array_map(fn (int $seed): float => roughness(Field::clouds($seed, 400, $octaves), 4) / roughness(Field::clouds($seed, 400, 1), 4), range(1, 4));
    expect(array_sum($ratios) / 4 * $variance / $octaves)->toEqualWithDelta(1.0, 0.1);
})->with([[2], [3], [4]]);

it('leaves the field as it is in the middle of a patch', function (): void {
    $field = Field::grain(6, 8.0)->settled();
    // The middle of the second patch of the first row, found again in the field at one of the steps of 60 px at which patches are cut (738 is 18 past one).
    [$size, $at] = [24, Patchwork::PATCH + intdiv(Patchwork::PATCH, 2) - 12];
    $middle = noise_levels(Patchwork::wide($field, 6, 2)->crop($at, intdiv(Patchwork::PATCH, 2) - 12, $size, $size)->settled());
    $off = [];
    for ($y = 18; $y < Field::SIDE; $y += 60) {
        for ($x = 18; $x < Field::SIDE; $x += 60) {
            $cut = noise_levels($field->tiled(-$x, -$y, $size, $size)->settled());
            $off[] = array_sum(array_map(fn (int $one, int $other): int => abs($one - $other), $middle, $cut)) / $size ** 2;
        }
    }
    sort($off);
    expect($off[0])->toBeLessThan(0.2)->and($off[1])->toBeGreaterThan(20.0);
});
