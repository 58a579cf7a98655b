<?php

declare(strict_types=1);

use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** The print of one shape of 2 in with some lines of ink, on a sheet of 3 × 4 in. */
function shapeInInk(string $shape, array $lines): Image
{
    return Fixtures::render(Fixtures::artwork([['effects' => $lines] + Fixtures::shape('p', $shape, 2.0)]), 300);
}

/** @return list<list<int>> rows of alpha */
function alphaRows(Image $ink): array
{
    return array_map(fn (string $row): array => array_map(ord(...), str_split($row)), str_split($ink->alpha()->toBytes(), $ink->width()));
}

const RUST = ['kind' => 'fill', 'colour' => '#b04a2c'];
const RING = ['kind' => 'outline', 'width' => 0.06, 'colour' => '#f3ead7'];

// A circle of 1 in about the middle of the sheet: what lies from 0.03 in within its edge to 0.05 in beyond it is line and ring.
it('lets no cloth show between a hollow line and what lies about it', function (array $about): void {
    $rows = alphaRows(shapeInInk('ellipse', [['kind' => 'hollow', 'width' => 0.04, 'colour' => '#2f6f73'], ...$about]));
    [$middleX, $middleY] = [count($rows[0]) / 2, count($rows) / 2];
    $least = 255;
    for ($degree = 0; $degree < 180; $degree++) {
        for ($radius = 291.0; $radius <= 315; $radius += 0.5) {
            [$x, $y] = [(int) ($middleX + $radius * cos(deg2rad($degree))), (int) ($middleY + $radius * sin(deg2rad($degree)))];
            $least = min($least, $rows[$y][$x]);
        }
    }
    expect($least)->toBe(255)->and($rows[(int) $middleY][(int) $middleX])->toBe(0);
})->with(['a ring' => [[RING]], 'a ring with mitres' => [[['join' => 'mitre'] + RING]], 'a ring and a gap' => [[RING, ['kind' => 'gap', 'width' => 0.05], RING]]]);

it('counts an edge once that a piece has in common with its solid shadow', function (string $shape, float $angle, array $lines): void {
    $shaded = alphaRows(shapeInInk($shape, [RUST, ...$lines, ['kind' => 'shadow', 'distance' => 0.2, 'angle' => $angle, 'as' => 'solid']]));
    $bare = alphaRows(shapeInInk($shape, [RUST, ...$lines]));
    [$dx, $dy] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
    $seen = 0;
    foreach ($bare as $y => $row) {
        foreach ($row as $x => $level) {
            // Edges that look straight away from the shadow: within some 30° of it.
            $towards = (($x + 0.5 - count($row) / 2) * $dx + ($y + 0.5 - count($bare) / 2) * $dy) / 300;
            if ($towards < -0.86 && $level > 20 && $level < 235) {
                expect($shaded[$y][$x])->toEqualWithDelta($level, 3);
                $seen++;
            }
        }
    }
    expect($seen)->toBeGreaterThan(200);
})->with(['ellipse'])->with([40.0, -100.0])->with(['filled' => [[]], 'ringed' => [[RING]]]);

// A circle swept along a line is all that lies within its radius of that line; each pixel of its edge by 256 samples. The chords of a ring's shadow, and of
// what it lies about, are up to 0.1 pixels off each (26 levels), and where two edges meet in a pixel it is covered as by one. An edge counted twice is up to
// 64 levels off.
it('covers each pixel once all about a circle and its solid shadow', function (float $angle, array $lines, array $shadows, float $radius, float $levels): void {
    $shadow = fn (float $distance): array => ['kind' => 'shadow', 'distance' => $distance, 'angle' => $angle, 'as' => 'solid'];
    $rows = alphaRows(shapeInInk('ellipse', [RUST, ...$lines, ...array_map($shadow, $shadows)]));
    [$dx, $dy] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
    [$middleX, $middleY] = [count($rows[0]) / 2, count($rows) / 2];
    $isIn = function (float $x, float $y) use ($dx, $dy, $radius): bool {
        $along = max(0.0, min(60.0, $x * $dx + $y * $dy));

        return hypot($x - $along * $dx, $y - $along * $dy) < $radius;
    };
    [$seen, $off] = [0, 0];
    foreach ($rows as $y => $row) {
        foreach ($row as $x => $level) {
            if ($level <= 5 || $level >= 250) {
                continue;
            }
            $samples = 0;
            for ($i = 0; $i < 256; $i++) {
                $samples += (int) $isIn($x + ($i % 16 + 0.5) / 16 - $middleX, $y + (intdiv($i, 16) + 0.5) / 16 - $middleY);
            }
            $off = max($off, abs($level - $samples * 255 / 256));
            $seen++;
        }
    }
    expect($seen)->toBeGreaterThan(1500)->and($off)->toBeLessThan($levels);
})->with([40.0, -100.0, 90.0])->with(['filled' => [[], [0.2], 300.0, 10.0], 'ringed' => [[RING], [0.2], 318.0, 40.0], 'two of them' => [[], [0.1, 0.2], 300.0, 10.0]]);
