<?php

declare(strict_types=1);

use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Raster\Sampling;

/** A field of floating point whose samples are what a function says of their places. */
function sampled_field(int $width, int $height, callable $of): Image
{
    $bytes = '';
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $bytes .= pack('g', $of($x, $y));
        }
    }

    return Image::floats($bytes, $width, $height, 1);
}

/** @return list<float> */
function samples_of(Image $field): array
{
    return array_map(floatval(...), array_values((array) unpack('g*', $field->toBytes())));
}

// A plane is what straight lines between pixels leave as it is: its value where a new pixel's middle lies on the old grid.
it('lays a plane on another grid to the thousandth of a level', function (float $by, int $left, int $top): void {
    $plane = sampled_field(40, 40, fn (int $x, int $y): float => 3.0 * ($x + 7) - 2.0 * ($y + 11));
    [$x, $y] = [(int) ceil($left * $by), (int) ceil($top * $by)];
    $window = samples_of(Sampling::regridded($plane, $by, [7, 11], [$x, $y], 6, 5));
    foreach (range(0, 4) as $row) {
        foreach (range(0, 5) as $column) {
            $wanted = 3.0 * (($x + $column + 0.5) / $by - 0.5) - 2.0 * (($y + $row + 0.5) / $by - 0.5);
            expect($window[$row * 6 + $column])->toEqualWithDelta($wanted, 1e-3);
        }
    }
})->with([[0.6, 12, 14], [0.8, 12, 20], [1.0, 12, 14], [1.04, 20, 30], [1.2083, 15, 22], [2.5, 30, 25]]);

it('draws out the rim of a picture where a window reaches beyond it', function (): void {
    $flat = sampled_field(10, 10, fn (): float => 42.0);
    expect(array_unique(samples_of(Sampling::regridded($flat, 0.75, [0, 0], [0, 0], 7, 7))))->toBe([42.0]);
});

it('tells the place of each pixel', function (): void {
    $places = Sampling::places(3, 2);
    expect([$places->width(), $places->height(), $places->bands()])->toBe([3, 2, 2])
        ->and(array_values((array) unpack('V*', $places->toBytes())))->toBe([0, 0, 1, 0, 2, 0, 0, 1, 1, 1, 2, 1]);
});

it('takes the nearest pixel of where it is pointed, and at the rim the last', function (): void {
    $levels = Image::raw(implode('', array_map(chr(...), range(0, 15))), 4, 4, 1);
    $map = Image::floats(pack('g*', 0.0, 0.0, 3.0, 0.0, 1.2, 2.1, 3.0, 3.0), 4, 1, 2);
    expect(array_values((array) unpack('C*', Sampling::nearest($levels, $map)->toBytes())))->toBe([0, 3, 9, 15]);
});

it('looks at one of the pixels that each stands for, by a chance that its number fixes', function (): void {
    $levels = Image::raw(str_repeat(implode('', array_map(chr(...), range(0, 255))), 256), 256, 256, 1);
    $one = Sampling::jittered($levels, 64, 64, 3);
    expect([$one->width(), $one->height()])->toBe([64, 64])->and($one->toBytes())->toBe(Sampling::jittered($levels, 64, 64, 3)->toBytes())->not->toBe(Sampling::jittered($levels, 64, 64, 4)->toBytes());
    foreach (array_values((array) unpack('C*', $one->toBytes())) as $i => $level) {
        // Four columns stand behind each.
        expect(intdiv((int) $level, 4))->toBe($i % 64);
    }
    // All four are taken about as often: 1,024 each of 4,096, and five deviations of √(4096 · ¼ · ¾) = 27.7.
    $levels = Histogram::of($one);
    foreach (range(0, 3) as $rest) {
        $times = array_sum(array_filter($levels, fn (int $level): bool => $level % 4 === $rest, ARRAY_FILTER_USE_KEY));
        expect($times)->toEqualWithDelta(1024, 139);
    }
});

it('looks between the pixels of what is to be set larger, where levels are as common as they are then', function (float $larger): void {
    mt_srand(5);
    // Fine grain: levels between two pixels are nearer the middle than those of the pixels.
    $grain = Image::raw(implode('', array_map(fn (): string => chr(mt_rand(0, 255)), range(1, 160 * 160))), 160, 160, 1);
    $sized = $grain->resized($larger)->settled();
    $looked = Sampling::jitteredBetween($grain, 120, 120, 3)->settled();
    expect([$looked->width(), $looked->height()])->toBe([120, 120])->and($looked->mean())->toEqualWithDelta($sized->mean(), 2.5)->and($looked->deviation())->toEqualWithDelta($sized->deviation(), 2.5);
    foreach ([40.0, 90.0, 160.0, 215.0] as $level) {
        // Of 14,400 looks: four deviations of a share of a half.
        expect($looked->isMore($level)->mean() / 255)->toEqualWithDelta($sized->isMore($level)->mean() / 255, 4 * 0.5 / 120);
    }
    // Pixels as they are would not do.
    expect(Sampling::jittered($grain, 120, 120, 3)->deviation())->toBeGreaterThan($sized->deviation() + 5);
})->with([2.2, 1.7, 3.1]);

it('looks at a plane where its chance says', function (): void {
    $plane = sampled_field(60, 60, fn (int $x, int $y): float => 2.0 * $x + 3.0 * $y);
    $looked = samples_of(Sampling::jitteredBetween($plane, 20, 20, 9));
    foreach (range(2, 17) as $row) {
        foreach (range(2, 17) as $column) {
            // Somewhere within the three pixels each way that it stands for, whose middles lie half a pixel in.
            $least = 2.0 * (3 * $column - 0.5) + 3.0 * (3 * $row - 0.5);
            expect($looked[$row * 20 + $column])->toBeGreaterThanOrEqual($least - 0.1)->toBeLessThanOrEqual($least + 15.1);
        }
    }
});

it('stretches a plane so that it stays one, the middles of pixels where they were', function (int $width, int $height): void {
    $plane = sampled_field(12, 9, fn (int $x, int $y): float => 3.0 * $x - 2.0 * $y);
    $wide = samples_of($plane->stretched($width, $height));
    expect(count($wide))->toBe($width * $height);
    // Beyond the middles of the outermost pixels there is nothing to lie between.
    foreach ([0.2, 0.5, 0.8] as $across) {
        [$x, $y] = [(int) ($width * $across), (int) ($height * (1 - $across))];
        $wanted = 3.0 * (($x + 0.5) * 12 / $width - 0.5) - 2.0 * (($y + 0.5) * 9 / $height - 0.5);
        expect($wide[$y * $width + $x])->toEqualWithDelta($wanted, 1e-3);
    }
})->with([[120, 90], [77, 200], [131, 101]]);

// Straight lines between the middles of samples (bilinear interpolation), as the formula has it; beyond the outmost middles a sample stays what it is.
it('draws samples out to any number of pixels, straight between their middles', function (int $step, float $first): void {
    mt_srand($step);
    $levels = array_map(fn (): int => mt_rand(0, 255), range(1, 30));
    $wide = 6 * $step + 5;
    $fields = [Image::floats(pack('g*', ...$levels), 6, 5, 1), Image::raw(implode('', array_map(chr(...), $levels)), 6, 5, 1)];
    foreach ($fields as $i => $field) {
        $drawn = samples_of($field->interpolated($step, $wide, $wide - 3, $first)->linear(1.0));
        foreach ($drawn as $at => $level) {
            [$x, $y] = [max(0.0, min(5.0, ($at % $wide - $first) / $step)), max(0.0, min(4.0, (intdiv($at, $wide) - $first) / $step))];
            [$left, $top] = [min(4, (int) $x), min(3, (int) $y)];
            [$u, $v] = [$x - $left, $y - $top];
            $row = fn (int $j): float => (1 - $u) * $levels[6 * $j + $left] + $u * $levels[6 * $j + $left + 1];
            expect($level)->toEqualWithDelta((1 - $v) * $row($top) + $v * $row($top + 1), $i === 0 ? 0.001 : 0.501);
        }
    }
})->with([[2, 0.5], [2, -1.0], [3, 1.0], [4, 0.0], [4, 1.5], [4, -4.0], [7, 3.0], [7, 0.0], [8, -8.0], [8, 3.5], [15, 7.0], [16, 0.0]]);

// Weighed by its alpha or not, an opaque picture comes to the same; each way rounds by itself, and on the edge colours beyond it are none or go on.
it('places an opaque picture as any other', function (array $matrix): void {
    mt_srand(4);
    $colours = implode('', array_map(fn (): string => chr(mt_rand(0, 255)), range(1, 3 * 90 * 70)));
    $picture = Image::raw($colours, 90, 70, 3)->asColours()->withBand(Image::empty(90, 70, 1)->inverted())->settled();
    $box = [10.3, 20.7, -15, -10, 160, 150];
    [$plain, $sooner] = [$picture->affine($matrix, ...$box)->settled(), $picture->affineOpaque($matrix, ...$box)->settled()];
    expect($sooner->alpha()->toBytes())->toBe($plain->alpha()->toBytes());
    [$one, $other, $within] = [$plain->band(0, 3)->toBytes(), $sooner->band(0, 3)->toBytes(), Morphology::eroded($plain->alpha(), 5)->toBytes()];
    $worst = 0;
    for ($i = 0; $i < strlen($within); $i++) {
        if ($within[$i] === "\xff") {
            $worst = max($worst, ...array_map(fn (int $band): int => abs(ord($one[3 * $i + $band]) - ord($other[3 * $i + $band])), [0, 1, 2]));
        }
    }
    expect(substr_count($within, "\xff"))->toBeGreaterThan(1500)->and($worst)->toBeLessThanOrEqual(2);
})->with([
    'hardly larger' => [[1.003, 0.0, 0.0, 1.003]], 'smaller one way' => [[0.81, 0.0, 0.0, 0.97]], 'mirrored' => [[-0.9, 0.0, 0.0, 1.1]],
    'turned' => [[0.9, -0.3, 0.3, 0.9]], 'much smaller one way' => [[1.0, 0.0, 0.0, 0.6]],
]);
