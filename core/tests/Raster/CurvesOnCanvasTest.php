<?php

declare(strict_types=1);

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;

/**
 * Points of a closed path of lines and Bézier curves, by Bernstein's polynomials, mapped to pixels.
 *
 * @param  list<list<array{float, float}>>  $pieces  control points of each piece, from the end of the one before
 * @return list<array{float, float}>
 */
function curve_points(array $pieces, Affine $map): array
{
    $points = [];
    foreach ($pieces as $control) {
        $degree = count($control) - 1;
        for ($i = 0; $i < 400; $i++) {
            $t = $i / 400;
            [$x, $y] = [0.0, 0.0];
            foreach ($control as $k => [$atX, $atY]) {
                $weight = ([1 => [1, 1], 2 => [1, 2, 1], 3 => [1, 3, 3, 1]][$degree][$k] ?? 0) * $t ** $k * (1 - $t) ** ($degree - $k);
                $x += $weight * $atX;
                $y += $weight * $atY;
            }
            $points[] = [$map->a * $x + $map->c * $y + $map->e, $map->b * $x + $map->d * $y + $map->f];
        }
    }

    return $points;
}

/** @return array{float, float, float} area and centre of a polygon (Gauss's shoelace formula) */
function shoelace(array $points): array
{
    [$area, $x, $y] = [0.0, 0.0, 0.0];
    foreach ($points as $i => [$x1, $y1]) {
        [$x2, $y2] = $points[($i + 1) % count($points)];
        $cross = $x1 * $y2 - $x2 * $y1;
        $area += $cross / 2;
        $x += ($x1 + $x2) * $cross / 6;
        $y += ($y1 + $y2) * $cross / 6;
    }

    return [abs($area), $x / $area, $y / $area];
}

/** @return array{float, float, float} area and centre of a mask's coverage */
function covered(Image $mask): array
{
    [$area, $x, $y] = [0.0, 0.0, 0.0];
    foreach (unpack('C*', $mask->toBytes()) ?: [] as $i => $level) {
        $area += $level / 255;
        $x += $level / 255 * (($i - 1) % $mask->width() + 0.5);
        $y += $level / 255 * (intdiv($i - 1, $mask->width()) + 0.5);
    }

    return [$area, $x / $area, $y / $area];
}

it('fills curves where their polynomials lie, under any map', function (Affine $map): void {
    $path = new Path([['M', -1.0, -0.6], ['Q', 0.1, -1.6, 1.1, -0.5], ['L', 0.9, 0.4], ['C', 0.7, 1.5, -0.4, 0.3, -0.9, 0.9], ['Z']]);
    $pieces = [[[-1.0, -0.6], [0.1, -1.6], [1.1, -0.5]], [[1.1, -0.5], [0.9, 0.4]], [[0.9, 0.4], [0.7, 1.5], [-0.4, 0.3], [-0.9, 0.9]], [[-0.9, 0.9], [-1.0, -0.6]]];
    [$area, $x, $y] = shoelace(curve_points($pieces, $map));
    $canvas = new Canvas(120, 120, $map);
    $canvas->fill($path);
    [$filled, $left, $top] = covered($canvas->mask());
    expect($filled)->toEqualWithDelta($area, $area * 0.001)->and($left)->toEqualWithDelta($x, 0.02)->and($top)->toEqualWithDelta($y, 0.02);
})->with([
    'upright' => [Affine::scale(40, 40)->then(Affine::shift(60.3, 58.7))],
    'turned' => [Affine::scale(38, 38)->then(Affine::turn(33))->then(Affine::shift(59.1, 61.4))],
    'mirrored and turned' => [Affine::scale(-35, 35)->then(Affine::turn(118))->then(Affine::shift(60, 60))],
]);

it('rounds every point to the nearest of 256 steps to a pixel', function (callable $draw): void {
    $mask = function (float $x, float $y) use ($draw): string {
        $canvas = new Canvas(24, 24, new Affine(1, 0, 0, 1, 0, 0));
        $draw($canvas, $x, $y);

        return $canvas->mask()->toBytes();
    };
    $step = 1 / 256;
    $on = $mask(6 + 100 * $step, 7 + 140 * $step);
    expect($mask(6 + 99.6 * $step, 7 + 139.6 * $step))->toBe($on)->and($mask(6 + 100.4 * $step, 7 + 140.4 * $step))->toBe($on)
        ->and($mask(6 + 103.6 * $step, 7 + 140 * $step))->not->toBe($on)->and($mask(6 + 100 * $step, 7 + 143.6 * $step))->not->toBe($on);
})->with([
    'lines' => [fn (Canvas $canvas, float $x, float $y) => $canvas->fill(new Path([['M', $x, $y], ['L', $x + 9, $y + 1], ['L', $x + 3, $y + 8], ['Z']]))],
    'quadratic curves' => [fn (Canvas $canvas, float $x, float $y) => $canvas->fill(new Path([['M', $x, $y], ['Q', $x + 6, $y - 3, $x + 9, $y + 6], ['Z']]))],
    'cubic curves' => [fn (Canvas $canvas, float $x, float $y) => $canvas->fill(new Path([['M', $x, $y], ['C', $x + 6, $y - 3, $x + 9, $y + 1, $x + 3, $y + 9], ['Z']]))],
    'strokes' => [fn (Canvas $canvas, float $x, float $y) => $canvas->lines([[[$x, $y], [$x + 9, $y + 4]]], 2.0)],
]);
