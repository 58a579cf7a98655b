<?php

declare(strict_types=1);

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Bezier;
use TallCrow\Geometry\NothingToMeasure;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Geometry\Region;

/** The point of a segment at t, by the Bernstein form of a Bézier curve (Farin, "Curves and Surfaces for CAGD", from memory). */
function bernstein(array $from, array $segment, float $t): array
{
    $points = array_chunk([...$from, ...array_slice($segment, 1)], 2);
    $n = count($points) - 1;
    $choose = [1 => [1, 1], 2 => [1, 2, 1], 3 => [1, 3, 3, 1]][$n];
    $sum = [0.0, 0.0];
    foreach ($points as $i => $point) {
        $weight = $choose[$i] * $t ** $i * (1 - $t) ** ($n - $i);
        $sum = [$sum[0] + $weight * $point[0], $sum[1] + $weight * $point[1]];
    }

    return $sum;
}

/** Many points along a path, with the segment's place. @return list<array{float, float}> */
function along(Path $path, int $steps): array
{
    $points = [];
    $at = [0.0, 0.0];
    foreach ($path->segments as $segment) {
        if ($segment[0] === 'Z') {
            continue;
        }
        if ($segment[0] !== 'M') {
            for ($i = 0; $i <= $steps; $i++) {
                $points[] = bernstein($at, $segment, $i / $steps);
            }
        }
        $at = Path::end($segment);
    }

    return $points;
}

/** How far a point lies from a chain of chords. */
function off_polyline(array $point, array $chain): float
{
    $least = INF;
    for ($i = 1, $n = count($chain); $i < $n; $i++) {
        [$a, $b] = [$chain[$i - 1], $chain[$i]];
        [$dx, $dy] = [$b[0] - $a[0], $b[1] - $a[1]];
        $t = max(0.0, min(1.0, (($point[0] - $a[0]) * $dx + ($point[1] - $a[1]) * $dy) / max(1e-18, $dx * $dx + $dy * $dy)));
        $least = min($least, hypot($point[0] - $a[0] - $t * $dx, $point[1] - $a[1] - $t * $dy));
    }

    return $least;
}

/** Curves of every shape: bowed, looped, with turning points inside and outside, and straight ones. */
function curves(int $many): Generator
{
    mt_srand(11);
    $any = fn (): float => mt_rand(-4000, 4000) / 1000;
    for ($i = 0; $i < $many; $i++) {
        yield "quadratic $i" => [[$any(), $any()], ['Q', $any(), $any(), $any(), $any()]];
        yield "cubic $i" => [[$any(), $any()], ['C', $any(), $any(), $any(), $any(), $any(), $any()]];
    }
    yield 'a quadratic that is a line' => [[0.0, 0.0], ['Q', 1.0, 1.0, 2.0, 2.0]];
    yield 'a cubic whose cube vanishes' => [[0.0, 0.0], ['C', 1.0, 2.0, 2.0, 2.0, 3.0, 0.0]];
    yield 'a cubic that only rises' => [[0.0, 0.0], ['C', 1.0, 1.0, 2.0, 3.0, 4.0, 9.0]];
    yield 'a cubic with one turning point outside' => [[0.0, 0.0], ['C', -1.0, 4.0, 3.0, 4.0, 3.0, 0.0]];
}

dataset('curves', fn (): Generator => curves(12));

it('stands where the Bernstein form says', function (array $from, array $s): void {
    foreach ([0.0, 0.2, 0.5, 0.85, 1.0] as $t) {
        $made = $s[0] === 'Q'
            ? [Bezier::quadratic($from[0], $s[1], $s[3], $t), Bezier::quadratic($from[1], $s[2], $s[4], $t)]
            : [Bezier::cubic($from[0], $s[1], $s[3], $s[5], $t), Bezier::cubic($from[1], $s[2], $s[4], $s[6], $t)];
        [$x, $y] = bernstein($from, $s, $t);
        expect($made[0])->toEqualWithDelta($x, 1e-9)->and($made[1])->toEqualWithDelta($y, 1e-9);
    }
})->with('curves');

it('turns where its slope is nothing, and nowhere else', function (array $from, array $s): void {
    foreach ([0, 1] as $axis) {
        $p = array_map(fn (array $point): float => $point[$axis], array_chunk([...$from, ...array_slice($s, 1)], 2));
        $turns = $s[0] === 'Q' ? Bezier::quadraticExtremes(...$p) : Bezier::cubicExtremes(...$p);
        $seen = [];
        $last = null;
        for ($i = 0; $i <= 4000; $i++) {
            $value = bernstein($from, $s, $i / 4000)[$axis];
            if ($last !== null && $i > 1 && ($last - $before) * ($value - $last) < 0) {
                $seen[] = $last;
            }
            [$before, $last] = [$last, $value];
        }
        sort($turns);
        sort($seen);
        expect($turns)->toHaveCount(count($seen));
        foreach ($turns as $i => $turn) {
            expect($turn)->toEqualWithDelta($seen[$i], 1e-5);
        }
    }
})->with('curves');

it('has the bounds of its points', function (array $from, array $s): void {
    $path = new Path([['M', ...$from], $s, ['Z']]);
    $points = along($path, 4000);
    $box = $path->bounds();
    expect($box->left)->toEqualWithDelta(min(array_column($points, 0)), 1e-5)->and($box->right)->toEqualWithDelta(max(array_column($points, 0)), 1e-5)
        ->and($box->top)->toEqualWithDelta(min(array_column($points, 1)), 1e-5)->and($box->bottom)->toEqualWithDelta(max(array_column($points, 1)), 1e-5);
})->with('curves');

it('is cut in halves that run as the whole', function (array $from, array $s): void {
    [$first, $second] = Bezier::halves($from, $s);
    $middle = Path::end($first);
    foreach ([0.0, 0.25, 0.6, 1.0] as $t) {
        foreach ([[bernstein($from, $first, $t), $t / 2], [bernstein($middle, $second, $t), 0.5 + $t / 2]] as [[$x, $y], $whole]) {
            expect(hypot($x - bernstein($from, $s, $whole)[0], $y - bernstein($from, $s, $whole)[1]))->toBeLessThan(1e-9);
        }
    }
    expect($first[0])->toBe($s[0])->and($second[0])->toBe($s[0]);
})->with('curves');

it('cuts a line in its middle', function (): void {
    expect(Bezier::halves([1.0, 2.0], ['L', 4.0, 8.0]))->toBe([['L', 2.5, 5.0], ['L', 4.0, 8.0]]);
});

it('bends curves within the tolerance, and no finer than it must', function (array $from, array $s): void {
    $map = fn (float $x, float $y): array => [$x + 0.3 * sin($y), $y + 0.4 * cos(0.8 * $x)];
    $count = [];
    foreach ([0.005, 0.0005] as $tolerance) {
        $count[] = count((new Path([['M', ...$from], $s]))->mapped($map, $tolerance)->segments);
        $path = (new Path([['M', ...$from], $s]))->mapped($map, $tolerance, 0.7);
        // The true image, and how far the bent path ever is from it.
        $true = array_map(fn (array $point): array => $map(...$point), along(new Path([['M', ...$from], $s]), 400));
        $worst = 0.0;
        foreach (along($path, 4) as [$x, $y]) {
            $worst = max($worst, off_polyline([$x, $y], $true));
        }
        expect($worst)->toBeLessThan($tolerance * 1.5 + 0.0004);
        expect(array_unique(array_column(array_slice($path->segments, 1), 0)))->toBe([$s[0]]);
        $end = Path::end($path->segments[count($path->segments) - 1]);
        expect($end)->toEqualWithDelta($map(...Path::end($s)), 1e-9);
    }
    // The error falls with the square of the pieces, or faster: ten times finer takes some three times as many.
    expect($count[1])->toBeGreaterThan($count[0])->and($count[1] - 1)->toBeLessThan(9 * ($count[0] - 1) + 9);
})->with(fn (): Generator => curves(2));

it('cuts nothing that a map leaves as it is, and keeps every contour', function (array $from, array $s): void {
    $path = new Path([['M', ...$from], $s, ['Z'], ['M', 1.0, 1.0], ['L', 2.0, 1.0], ['L', 2.0, 2.0], ['Z']]);
    $moved = $path->mapped(fn (float $x, float $y): array => [2 * $x + $y + 1, $x - $y], 1e-6);
    $letters = fn (Path $path): string => implode('', array_column($path->segments, 0));
    // A contour that its Z closes gets the closing side drawn, which may bend.
    expect($letters($moved))->toBe('M'.$s[0].'LZMLLLZ')->and($moved->segments[0])->toEqual(['M', 2 * $from[0] + $from[1] + 1, $from[0] - $from[1]]);
})->with('curves');

it('cuts what is longer than it may be, in every direction', function (array $segment, int $pieces): void {
    $path = (new Path([['M', 0.0, 0.0], $segment]))->mapped(fn (float $x, float $y): array => [$x, $y], 1.0, 1.0);
    expect(count($path->segments) - 1)->toBe($pieces);
})->with([
    'across' => [['L', 3.9, 0.0], 4], 'back' => [['L', -3.9, 0.0], 4], 'down' => [['L', 0.0, 3.9], 4], 'up' => [['L', 0.0, -3.9], 4], 'just short enough' => [['L', 1.0, 1.0], 1],
    'a quadratic across' => [['Q', 1.0, 0.0, 1.9, 0.0], 2], 'a quadratic down' => [['Q', 0.0, -1.0, 0.0, -1.9], 2], 'a quadratic that comes back' => [['Q', 1.9, 0.0, 0.0, 0.0], 2], 'a short quadratic' => [['Q', 0.5, 0.5, 1.0, 1.0], 1],
    'a cubic across' => [['C', 0.6, 0.0, 1.2, 0.0, 1.9, 0.0], 2], 'a cubic up' => [['C', 0.0, -0.6, 0.0, -1.2, 0.0, -1.9], 2], 'a short cubic' => [['C', 0.3, 0.3, 0.6, 0.6, 1.0, 1.0], 1],
    'a cubic with one handle far out' => [['C', 0.0, 1.7, 0.0, 0.0, 0.1, 0.0], 2],
]);

it('has the area of the figure', function (): void {
    // Of a regular star of n points: n · R · r · sin(π/n); of a regular polygon: n/2 · R² · sin(2π/n).
    $star = Outline::star(5, 0.4, 2 * cos(deg2rad(18)), 1 + cos(deg2rad(36)));
    $area = fn (Path $path): float => Region::filledBy($path, 1e-6)->area();
    expect($area($star))->toEqualWithDelta(5 * 0.4 * sin(M_PI / 5), 1e-9);
    $six = Outline::polygon(6, sqrt(3), 2);
    expect($area($six))->toEqualWithDelta(3 * sin(M_PI / 3), 1e-9)->and($area(Outline::rectangle(3, 2)))->toEqualWithDelta(6.0, 1e-9);
    expect($area(Outline::ellipse(4, 2)))->toEqualWithDelta(M_PI * 2, 5.3e-5)
        ->and($area(Outline::ring(0.25, 4, 4)))->toEqualWithDelta(M_PI * 4 * (1 - 0.75 ** 2), 1.7e-4);
    // Eight cubics, each with handles of 4/3 tan(π/16), stray by 4.2e-6 of the radius at most; the figure is known (M. Goldapp, "Approximation of circular
    // arcs by cubic polynomials", 1991: the error falls with the sixth power of the angle, and is 2.7e-4 for a quarter).
    foreach (along(Outline::ellipse(2, 2), 50) as [$x, $y]) {
        expect(hypot($x, $y))->toEqualWithDelta(1.0, 5e-6);
    }
    // Corners of a star lie on two circles, the first straight up.
    $five = Outline::star(5, 0.5, 2 * cos(deg2rad(18)), 1 + cos(deg2rad(36)));
    $drop = 1 - (1 + cos(deg2rad(36))) / 2;
    foreach (array_slice($five->segments, 0, 10) as $i => [, $x, $y]) {
        expect(hypot($x, $y - $drop))->toEqualWithDelta($i % 2 === 0 ? 1.0 : 0.5, 1e-9)
            ->and(fmod(rad2deg(atan2($y - $drop, $x)) + 450, 360))->toEqualWithDelta($i * 36.0, 1e-6);
    }
});

it('writes the path of an SVG', function (): void {
    $path = new Path([['M', 1.23456, 0.0], ['Q', 1.0, 2.0, -3.5, 4.00004], ['C', 1.0, 2.0, 3.0, 4.0, 5.0, 6.0], ['L', 7.0, 8.0], ['Z']]);
    expect($path->toSvg())->toBe('M1.2346 0 Q1 2 -3.5 4 C1 2 3 4 5 6 L7 8 Z')->and($path->toSvg(1))->toStartWith('M1.2 0 ');
    expect(array_map(Path::end(...), array_slice($path->segments, 0, 4)))->toEqual([[1.23456, 0.0], [-3.5, 4.00004], [5.0, 6.0], [7.0, 8.0]])
        ->and(fn () => Path::end(['Z']))->toThrow(NothingToMeasure::class);
});

it('moves every point and handle by an affine map', function (): void {
    // By hand: x' = 2x + y + 5, y' = 3x - y + 7.
    $by = new Affine(2, 3, 1, -1, 5, 7);
    $path = (new Path([['M', 1.0, 2.0], ['Q', 0.0, 1.0, 4.0, 0.0], ['Z']]))->transformed($by);
    expect($path->segments)->toBe([['M', 9.0, 8.0], ['Q', 6.0, 6.0, 13.0, 19.0], ['Z']])->and(Path::empty()->isEmpty())->toBeTrue()->and($path->isEmpty())->toBeFalse()
        ->and(Path::join($path, Path::empty(), $path)->segments)->toHaveCount(6);
});

/** Wang's bound: a curve of degree n in k equal steps of its parameter strays by n (n - 1) / 8 × its greatest second difference / k². */
it('takes as many chords as Wang\'s bound asks for, wherever the curve lies', function (array $curve, float $tolerance, int $count): void {
    foreach ([[0, 0], [10, -7], [-300, 41]] as [$dx, $dy]) {
        $out = [];
        $moved = [$curve[0]];
        foreach (array_slice($curve, 1) as $i => $value) {
            $moved[] = $value + ($i % 2 === 0 ? $dx : $dy);
        }
        Bezier::chords([(float) $dx, (float) $dy], $moved, $tolerance, $out);
        expect($out)->toHaveCount($count)->and(end($out))->toEqualWithDelta(['L', $curve[count($curve) - 2] + $dx, $curve[count($curve) - 1] + $dy], 1e-9);
    }
})->with([
    // From (0, 0). Second difference (1, -3): √10 × 2 / 8 ÷ 0.001 = 790.6, whose root is 28.1.
    'quadratic' => [['Q', 1.0, 2.0, 3.0, 1.0], 0.001, 29],
    // (1, -4) and (-1, 7): √50 × 6 / 8 ÷ 0.001 = 5303.3, whose root is 72.8; and with the greater one first.
    'cubic' => [['C', 1.0, 2.0, 3.0, 0.0, 4.0, 5.0], 0.001, 73],
    'cubic, the other way round' => [['C', -1.0, -5.0, -3.0, -3.0, -4.0, -5.0], 0.001, 73],
    'straight' => [['Q', 1.0, 1.0, 2.0, 2.0], 0.001, 1],
    'as many as there may be' => [['Q', 1.0, 2.0, 3.0, 1.0], 1e-9, 400],
]);
