<?php

declare(strict_types=1);

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Bezier;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Contours;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;

/** Area within straight contours, by the shoelace formula; holes count against it. */
function area_within(Path $path): float
{
    $area = 0.0;
    $start = $at = [0.0, 0.0];
    foreach ($path->segments as $s) {
        $to = $s[0] === 'Z' ? $start : [$s[1], $s[2]];
        if ($s[0] === 'M') {
            $start = $to;
        } else {
            $area += ($at[0] * $to[1] - $to[0] * $at[1]) / 2;
        }
        $at = $to;
    }

    return abs($area);
}

it('starts a contour in the middle of its longest side and not at a corner', function (): void {
    $smooth = Contours::startedSmooth(Path::polygon([[0, 0], [4, 0], [4, 1], [0, 1]]));
    expect($smooth->segments[0])->toBe(['M', 2.0, 0.0])
        ->and($smooth->segments[count($smooth->segments) - 1])->toBe(['Z'])
        ->and(area_within($smooth))->toEqualWithDelta(4.0, 1e-12)
        ->and($smooth->bounds())->toEqual(new Box(0, 0, 4, 1));
});

it('draws the closing side that a contour left to its Z', function (): void {
    $open = new Path([['M', 0, 0], ['L', 1, 0], ['L', 1, 9], ['Z']]);
    $smooth = Contours::startedSmooth($open);
    expect(area_within($smooth))->toEqualWithDelta(4.5, 1e-12)->and($smooth->segments[0][0])->toBe('M');
});

it('keeps every contour of a path, and drops those with nothing to stroke', function (): void {
    $two = Path::join(Outline::rectangle(2, 2), new Path([['M', 5, 5], ['Z']]), Outline::rectangle(1, 1));
    $smooth = Contours::startedSmooth($two);
    expect(count(array_filter($smooth->segments, fn (array $s): bool => $s[0] === 'M')))->toBe(2);
});

it('leaves out points on the way and keeps corners', function (): void {
    $points = [[0, 0]];
    for ($i = 1; $i <= 100; $i++) {
        $points[] = [$i / 10, ($i % 2) * 0.0001];
    }
    $points[] = [10, 5];
    $points[] = [0, 5];
    $thin = Contours::thinned(Path::polygon($points), 0.001);
    expect(count($thin->segments))->toBeLessThan(8)->and(area_within($thin))->toEqualWithDelta(50.0, 0.02);
});

it('never thins away more than its tolerance', function (float $tolerance): void {
    $circle = Outline::ellipse(2, 2)->forStroking(0.00001);
    $thin = Contours::thinned($circle, $tolerance);
    expect(count($thin->segments))->toBeLessThan(count($circle->segments));
    foreach ($thin->segments as $i => $s) {
        if ($s[0] === 'L') {
            $before = $thin->segments[$i - 1];
            expect(1 - hypot(($s[1] + $before[1]) / 2, ($s[2] + $before[2]) / 2))->toBeLessThan($tolerance + 0.0003);
        }
    }
})->with([0.01, 0.002, 0.0005]);

it('keeps a spike that runs out and back along one line', function (): void {
    $spike = Path::polygon([[0, 0], [5, 0], [9, 0], [5, 0], [5, 3], [0, 3]]);
    expect(Contours::thinned($spike, 0.01)->bounds()->right)->toBe(9.0);
});

it('cuts curves into chords within the tolerance', function (array $segment, float $tolerance): void {
    $chords = [];
    Bezier::chords([0.0, 0.0], $segment, $tolerance, $chords);
    $curve = fn (float $t): array => $segment[0] === 'Q'
        ? [Bezier::quadratic(0, $segment[1], $segment[3], $t), Bezier::quadratic(0, $segment[2], $segment[4], $t)]
        : [Bezier::cubic(0, $segment[1], $segment[3], $segment[5], $t), Bezier::cubic(0, $segment[2], $segment[4], $segment[6], $t)];
    $count = count($chords);
    $at = [0.0, 0.0];
    foreach ($chords as $i => $chord) {
        [$x, $y] = $curve(($i + 0.5) / $count);
        expect(hypot($x - ($at[0] + $chord[1]) / 2, $y - ($at[1] + $chord[2]) / 2))->toBeLessThan($tolerance * 1.0001);
        $at = [$chord[1], $chord[2]];
    }
    expect($at)->toEqual(Path::end($segment));
})->with([
    'quadratic' => [['Q', 1.0, 2.0, 2.0, 0.0]], 'cubic' => [['C', 0.0, 3.0, 4.0, -2.0, 4.0, 1.0]],
    'loop' => [['C', 5.0, 3.0, -4.0, 3.0, 1.0, 0.0]], 'straight' => [['Q', 1.0, 0.0, 2.0, 0.0]],
])->with([0.01, 0.001]);

it('is no shorter or wider for being made fit to stroke', function (): void {
    $star = Outline::star(7, 0.4, 3, 2)->transformed(Affine::turn(13));
    $ring = Outline::ring(0.3, 2, 2);
    foreach ([$star, $ring] as $path) {
        $fit = $path->forStroking(0.0005);
        foreach (['left', 'top', 'right', 'bottom'] as $side) {
            expect($fit->bounds()->$side)->toEqualWithDelta($path->bounds()->$side, 0.001);
        }
    }
});

it('unites, grows and cuts boxes', function (): void {
    $a = new Box(0, 0, 2, 2);
    $b = Box::centred(3, 3, 2, 4);
    expect($a->union($b))->toEqual(new Box(0, 0, 4, 5))
        ->and($a->intersection($b)->isEmpty())->toBeTrue()
        ->and($a->grown(1)->intersection($b))->toEqual(new Box(2, 1, 3, 3))
        ->and([$b->centreX(), $b->centreY(), $b->width(), $b->height()])->toBe([3.0, 3.0, 2.0, 4.0])
        ->and($a->transformed(Affine::turn(45))->width())->toEqualWithDelta(2 * M_SQRT2, 1e-9)
        ->and($a->toArray())->toBe(['left' => 0.0, 'top' => 0.0, 'width' => 2.0, 'height' => 2.0]);
});
