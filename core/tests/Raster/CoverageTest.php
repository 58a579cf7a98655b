<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;
use TallCrow\Geometry\Region;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;

/**
 * What edges cover of their pixels, against the area itself: each edge, cut where it passes from pixel to pixel, adds the trapezoid between it and the
 * right-hand side. GEOS tells what lies within a breadth of an outline.
 */
const PAGE = 160;

/**
 * @param  list<list<array{float, float}>>  $contours  closed, none crossing itself or another
 * @return list<float> shares of pixels, row by row
 */
function areas(array $contours): array
{
    $sums = array_fill(0, PAGE * PAGE + 1, 0.0);
    foreach ($contours as $points) {
        foreach ($points as $i => [$x, $y]) {
            [$dx, $dy] = [$points[($i + 1) % count($points)][0] - $x, $points[($i + 1) % count($points)][1] - $y];
            $cuts = [0.0, 1.0];
            foreach ([[$x, $dx], [$y, $dy]] as [$from, $way]) {
                for ($at = ceil(min($from, $from + $way)); $way !== 0.0 && $at <= max($from, $from + $way); $at++) {
                    $cuts[] = ($at - $from) / $way;
                }
            }
            sort($cuts);
            for ($k = 1; $k < count($cuts); $k++) {
                $middle = ($cuts[$k - 1] + $cuts[$k]) / 2;
                [$rise, $across] = [$dy * ($cuts[$k] - $cuts[$k - 1]), $x + $dx * $middle];
                $pixel = (int) floor($y + $dy * $middle) * PAGE + (int) floor($across);
                $right = $across - floor($across);
                $sums[$pixel] += $rise * (1 - $right);
                $sums[$pixel + 1] += $rise * $right;
            }
        }
    }
    $shares = [];
    $sum = 0.0;
    foreach (array_slice($sums, 0, -1) as $own) {
        $shares[] = abs($sum += $own);
    }

    return $shares;
}

/**
 * @param  list<float>  $truth
 * @return array{float, int} the most that a pixel is off, in levels, and how many are off by more than two
 */
function offBy(Image $drawn, array $truth): array
{
    [$most, $over, $edges] = [0.0, 0, 0];
    foreach (str_split($drawn->toBytes()) as $i => $byte) {
        $off = abs(ord($byte) - 255 * $truth[$i]);
        $most = max($most, $off);
        $edges += $truth[$i] > 0.002 && $truth[$i] < 0.998 ? 1 : 0;
        $over += $off > 2.5 ? 1 : 0;
    }
    expect($edges)->toBeGreaterThan(100);

    return [$most, $over];
}

function emptyPage(): Canvas
{
    $canvas = new Canvas(PAGE, PAGE, Affine::identity());
    $canvas->colour(Srgb::of(255, 255, 255));

    return $canvas;
}

/** @return list<array{float, float}> */
function rounded(int $sides, float $radius, float $wave = 0.0): array
{
    return array_map(fn (int $i): array => [80.3 + $radius * (1 + $wave * sin(14 * M_PI * $i / $sides)) * cos(2 * M_PI * $i / $sides), 79.6 + $radius * (1 + $wave * sin(14 * M_PI * $i / $sides)) * sin(2 * M_PI * $i / $sides)], range(0, $sides - 1));
}

dataset('figures', [
    'level above and below, at a third of a row' => [[[12.2, 40.3], [150.1, 40.3], [120.7, 110.65], [30.4, 110.65]]],
    'level by a twentieth of a pixel' => [[[12.2, 40.55], [150.1, 40.55], [150.1, 44.2], [81.0, 130.1], [12.2, 44.2]]],
    'hardly rising' => [[[10.5, 50.1], [149.6, 52.9], [140.2, 120.4], [20.8, 117.2]]],
    'rising by a sixteenth, an eleventh and a fifth' => [[[10.5, 30.2], [90.5, 35.2], [148.5, 40.5], [149.1, 90.3], [20.1, 116.1]]],
    'a round one' => [rounded(90, 61.4)],
    'one that waves' => [rounded(180, 52.0, 0.2)],
    'a dart' => [[[30.1, 130.2], [80.4, 20.7], [131.2, 129.9], [80.8, 100.3]]],
]);

it('covers of each pixel what lies within an outline, to two levels', function (array $corners): void {
    $canvas = emptyPage();
    $canvas->fill(Path::polygon($corners));
    [$most, $over] = offBy($canvas->mask(), areas([$corners]));
    expect($most)->toBeLessThan(2.5)->and($over)->toBe(0);
})->with('figures');

it('covers of each pixel what lies within a breadth of an outline, to two levels', function (array $corners, float $width): void {
    $canvas = emptyPage();
    $canvas->stroke(Path::polygon($corners), $width);
    $whole = Region::filledBy(Path::polygon($corners), 0.0005);
    $about = $whole->moved($width / 2)->minus($whole->moved(-$width / 2));
    [$most, $over] = offBy($canvas->mask(), areas($about->path()->contours(0.0005)));
    // Where two edges meet within a pixel a sample may miss a little of both.
    expect($most)->toBeLessThan(4.5)->and($over)->toBeLessThan(2);
})->with('figures')->with([1.5, 5.3, 16.0]);

it('covers of each pixel what lies within a breadth of an area', function (array $corners, float $by): void {
    $area = Region::filledBy(Path::polygon($corners), 0.0005);
    $canvas = emptyPage();
    $canvas->grown($area->path(), $by);
    [$most, $over] = offBy($canvas->mask(), areas($area->moved($by)->path()->contours(0.0005)));
    expect($most)->toBeLessThan(4.5)->and($over)->toBeLessThan(2);
})->with('figures')->with([0.6, 3.7]);
