<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Canvas;
use TallCrow\Tests\Fixtures;

/** A page of 120 × 120 pixels whose unit is so many of them. */
function pageOf(float $scale): Canvas
{
    $canvas = new Canvas(120, 120, Affine::scale($scale, $scale));
    $canvas->colour(Srgb::of(255, 255, 255));

    return $canvas;
}

/**
 * @param  list<array{float, float}>  $corners  in pixels
 */
function chain(array $corners, float $scale): Path
{
    return Path::chain([array_map(fn (array $at): array => [$at[0] / $scale, $at[1] / $scale], [...$corners, $corners[0]])]);
}

/** @return list<list<int>> rows of levels */
function coverage(Canvas $canvas): array
{
    return array_map(fn (string $row): array => array_map(ord(...), str_split($row)), str_split($canvas->mask()->toBytes(), 120));
}

/** How far a point is from a straight line between two others. */
function fromLine(float $x, float $y, array $from, array $to): float
{
    [$dx, $dy] = [$to[0] - $from[0], $to[1] - $from[1]];
    $along = max(0.0, min(1.0, (($x - $from[0]) * $dx + ($y - $from[1]) * $dy) / max(1e-12, $dx ** 2 + $dy ** 2)));

    return hypot($x - $from[0] - $along * $dx, $y - $from[1] - $along * $dy);
}

/** How far a point is from the nearest of the lines between points. */
function fromLines(float $x, float $y, array $points): float
{
    $far = INF;
    foreach (array_slice($points, 1) as $i => $to) {
        $far = min($far, fromLine($x, $y, $points[$i], $to));
    }

    return $far;
}

/**
 * What of each pixel lies within a breadth of some lines, against what was drawn. The edge of a disc crosses a pixel as a straight line does, but for
 * 1 ÷ 8r of a pixel, so its share is told by the distance of its middle, to 0.21 where the line runs askew.
 *
 * @return float the largest difference, in levels
 */
function worstShare(Canvas $canvas, array $points, float $breadth): float
{
    $drawn = coverage($canvas);
    $worst = 0.0;
    foreach ($drawn as $y => $row) {
        foreach ($row as $x => $level) {
            $share = max(0.0, min(1.0, $breadth - fromLines($x + 0.5, $y + 0.5, $points) + 0.5));
            $worst = max($worst, abs($level - 255 * $share));
        }
    }

    return $worst;
}

const KITE = [[30.3, 90.2], [37.1, 34.4], [84.6, 34.4], [78.2, 90.2]];
const DART = [[28.0, 96.0], [60.0, 24.0], [92.0, 96.0], [60.0, 70.0]];

it('draws round corners wherever a contour begins, in pixels as in inches', function (array $corners, int $first, float $scale, float $width): void {
    $corners = [...array_slice($corners, $first), ...array_slice($corners, 0, $first)];
    $canvas = pageOf($scale);
    $canvas->stroke(chain($corners, $scale), $width / $scale);
    expect(worstShare($canvas, [...$corners, $corners[0]], $width / 2))->toBeLessThan(0.21 * 255);
})->with(['a leaning square' => [KITE], 'a dart with a notch' => [DART]])->with([0, 1, 2, 3])->with([1.0, 60.0, 300.0])->with([6.0, 21.6]);

it('draws a brush line with round ends, and a dab of it as a disc', function (array $points, float $scale): void {
    $canvas = pageOf($scale);
    $canvas->brushed(array_map(fn (array $at): array => [$at[0] / $scale, $at[1] / $scale], $points), 18 / $scale);
    expect(worstShare($canvas, count($points) > 1 ? $points : [$points[0], $points[0]], 9))->toBeLessThan(0.21 * 255);
})->with(['a bent line' => [[[20.0, 30.0], [90.0, 44.0], [40.0, 100.0]]], 'a dab' => [[[50.3, 61.8]]]])->with([1.0, 300.0]);

// The edge of a half-plane covers of each pixel that it crosses upright what lies on its side.
it('covers of each pixel what lies within the outline', function (): void {
    $canvas = pageOf(1.0);
    $canvas->fill(chain([[10.25, 20.5], [90.5, 20.5], [90.5, 80.0], [10.25, 80.0]], 1.0));
    $drawn = coverage($canvas);
    expect($drawn[50][10])->toEqualWithDelta(0.75 * 255, 2)->and($drawn[50][90])->toEqualWithDelta(0.5 * 255, 2)
        ->and($drawn[20][50])->toEqualWithDelta(0.5 * 255, 2)->and($drawn[20][10])->toEqualWithDelta(0.375 * 255, 2)
        ->and($drawn[79][50])->toBe(255)->and($drawn[80][50])->toBe(0)->and($drawn[50][50])->toBe(255);
});

it('fills by the nonzero rule: what runs the same way round twice is no hole', function (): void {
    $square = fn (float $from, float $to): array => [['M', $from, $from], ['L', $to, $from], ['L', $to, $to], ['L', $from, $to], ['Z']];
    $inward = [['M', 40.0, 40.0], ['L', 40.0, 80.0], ['L', 80.0, 80.0], ['L', 80.0, 40.0], ['Z']];
    $same = pageOf(1.0);
    $same->fill(new Path([...$square(20, 100), ...$square(40, 80)]));
    $other = pageOf(1.0);
    $other->fill(new Path([...$square(20, 100), ...$inward]));
    expect(coverage($same)[60][60])->toBe(255)->and(coverage($other)[60][60])->toBe(0)->and(coverage($other)[30][30])->toBe(255);
});

it('keeps the colour of ink that covers a part of a pixel', function (): void {
    $canvas = pageOf(1.0);
    $canvas->colour(Srgb::of(200, 90, 40));
    $canvas->rectangle(new Box(10.0, 10.0, 50.5, 50.0));
    expect(Fixtures::pixel($canvas->ink(), 20, 20))->toBe([200, 90, 40, 255]);
    [$red, $green, $blue, $alpha] = Fixtures::pixel($canvas->ink(), 50, 20);
    expect($alpha)->toEqualWithDelta(128, 2)->and($red)->toEqualWithDelta(200, 2)->and($green)->toEqualWithDelta(90, 2)->and($blue)->toEqualWithDelta(40, 2);
});

it('is empty until something is drawn, and also where only a part is taken out', function (): void {
    $canvas = pageOf(1.0);
    expect($canvas->isEmpty())->toBeTrue();
    $canvas->takingOut(fn () => $canvas->rectangle(new Box(0.0, 0.0, 9.0, 9.0)));
    expect($canvas->isEmpty())->toBeTrue();
    $canvas->rectangle(new Box(20.0, 20.0, 80.0, 80.0));
    $canvas->takingOut(fn () => $canvas->rectangle(new Box(30.0, 30.0, 60.0, 60.0)));
    $drawn = coverage($canvas);
    expect($canvas->isEmpty())->toBeFalse()->and($drawn[40][40])->toBe(0)->and($drawn[25][25])->toBe(255)->and($drawn[70][70])->toBe(255);
});

it('runs a gradient from the first colour to the last between two points', function (): void {
    $canvas = pageOf(1.0);
    $canvas->gradient(10.0, 0.0, 110.0, 0.0, [Srgb::of(0, 0, 0), Srgb::of(200, 100, 50), Srgb::of(100, 200, 250)]);
    $canvas->rectangle(new Box(0.0, 0.0, 120.0, 120.0));
    $ink = $canvas->ink();
    foreach ([[5, [0, 0, 0]], [35, [102, 51, 25.5]], [59, [198, 99, 49.5]], [85, [149, 151, 152]], [115, [100, 200, 250]]] as [$x, $colour]) {
        foreach ($colour as $band => $level) {
            expect(Fixtures::pixel($ink, $x, 60)[$band])->toEqualWithDelta($level, 2.5);
        }
    }
});

it('draws turned clockwise about where it is shifted to, and within an outline alone', function (): void {
    $canvas = pageOf(2.0);
    $canvas->within(fn (Canvas $turned) => $turned->rectangle(new Box(0.0, -2.0, 20.0, 2.0)), 30.0, 30.0, 90.0);
    $drawn = coverage($canvas);
    // Clockwise on a page whose rows run down: what pointed to the right points down.
    expect($drawn[80][60])->toBe(255)->and($drawn[98][57])->toBe(255)->and($drawn[80][70])->toBe(0)->and($drawn[55][60])->toBe(0)->and($drawn[60][80])->toBe(0);
    $clipped = pageOf(2.0);
    $clipped->within(fn (Canvas $inner) => $inner->rectangle(new Box(0.0, 0.0, 60.0, 60.0)), clip: chain([[10.0, 10.0], [40.0, 10.0], [40.0, 40.0], [10.0, 40.0]], 2.0));
    $drawn = coverage($clipped);
    expect($drawn[20][20])->toBe(255)->and($drawn[20][60])->toBe(0)->and($drawn[5][20])->toBe(0);
    // What comes after is drawn as before.
    $clipped->rectangle(new Box(45.0, 45.0, 50.0, 50.0));
    expect(coverage($clipped)[95][95])->toBe(255);
});

it('draws a straight line with blunt ends', function (): void {
    $canvas = pageOf(1.0);
    $canvas->lines([[[20.0, 60.0], [100.0, 60.0]]], 10.0);
    $drawn = coverage($canvas);
    expect($drawn[60][60])->toBe(255)->and($drawn[55][60])->toBe(255)->and($drawn[54][60])->toBe(0)->and($drawn[60][20])->toBe(255)->and($drawn[60][19])->toBe(0);
});

it('draws one outline many times as it drew it first', function (): void {
    $curve = new Path([['M', 20.0, 60.0], ['C', 20.0, 10.0, 100.0, 10.0, 100.0, 60.0], ['Q', 60.0, 130.0, 20.0, 60.0], ['Z']]);
    $once = pageOf(1.0);
    $once->fill($curve);
    $twice = pageOf(1.0);
    $twice->fill($curve);
    $twice->fill(new Path($curve->segments));
    $first = $once->mask()->toBytes();
    $again = pageOf(1.0);
    $again->fill(new Path($curve->segments));
    expect($again->mask()->toBytes())->toBe($first);
    // Over itself an edge that covers half a pixel covers three quarters of it.
    $edges = array_filter(range(0, 120 * 120 - 1), fn (int $i): bool => abs(ord($first[$i]) - 128) < 3);
    $over = $twice->mask()->toBytes();
    foreach ($edges as $i) {
        $share = ord($first[$i]) / 255;
        expect(ord($over[$i]))->toEqualWithDelta(255 * (1 - (1 - $share) ** 2), 2);
    }
    expect(count($edges))->toBeGreaterThan(0);
});

it('makes its page anew for a second colour, and leaves what was drawn', function (): void {
    $canvas = pageOf(1.0);
    $canvas->colour(Srgb::of(200, 90, 40));
    $canvas->rectangle(new Box(10.0, 10.0, 60.5, 60.0));
    $one = $canvas->ink();
    $canvas->colour(Srgb::of(20, 60, 90));
    $canvas->rectangle(new Box(40.0, 30.0, 80.0, 90.0));
    $both = $canvas->ink();
    foreach ([[20, 20], [60, 20]] as [$x, $y]) {
        expect(array_map(intval(...), Fixtures::pixel($both, $x, $y)))->toEqualWithDelta(Fixtures::pixel($one, $x, $y), 1);
    }
    expect(Fixtures::pixel($both, 50, 40))->toBe([20, 60, 90, 255])->and(Fixtures::pixel($both, 30, 50))->toBe([200, 90, 40, 255])->and(ord($canvas->mask()->toBytes()[85 * 120 + 70]))->toBe(255);
});

it('is told its colour before it draws within something', function (): void {
    $canvas = pageOf(1.0);
    expect(fn () => $canvas->within(fn () => $canvas->colour(Srgb::of(1, 2, 3))))->toThrow(LogicException::class);
});

it('draws nothing along an outline that has no breadth', function (): void {
    $canvas = pageOf(1.0);
    $canvas->stroke(chain(KITE, 1.0), 0.0);
    $canvas->brushed([[20.0, 20.0], [80.0, 80.0]], 0.0);
    expect($canvas->mask()->range())->toEqual([0.0, 0.0])->and($canvas->isEmpty())->toBeFalse();
});

// Millions of numbers are added to the library's path in parts; a line that crosses such a seam is as its pieces are.
it('draws a line of very many points as it draws its pieces', function (): void {
    $points = array_map(fn (int $i): array => [60 + $i / 700 * cos($i / 9), 60 + $i / 700 * sin($i / 9)], range(0, 34_999));
    $drawn = function (array $line): array {
        $canvas = pageOf(1.0);
        $canvas->brushed($line, 0.8);

        return array_map(ord(...), str_split($canvas->mask()->toBytes()));
    };
    $whole = $drawn($points);
    $pieces = array_map($drawn, array_map(fn (int $from): array => array_slice($points, $from, 5001), range(0, 30_000, 5000)));
    foreach ($whole as $i => $level) {
        $each = array_column($pieces, $i);
        $level >= max($each) - 2 && $level <= array_sum($each) + 2 || expect([$i, $level])->toBe($each);
    }
    expect(count(array_filter($whole, fn (int $level): bool => $level > 0 && $level < 255)))->toBeGreaterThan(200);
});
