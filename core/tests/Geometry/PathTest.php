<?php

declare(strict_types=1);

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\NothingToMeasure;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Geometry\Region;

it('bounds curves by their extremes and not by their handles', function (): void {
    $arch = new Path([['M', 0, 0], ['Q', 1, 2, 2, 0], ['Z']]);
    expect($arch->bounds()->bottom)->toEqualWithDelta(1.0, 1e-9)->and($arch->bounds()->right)->toBe(2.0);

    $wave = new Path([['M', 0, 0], ['C', 0, 4, 3, 4, 3, 0], ['Z']]);
    expect($wave->bounds()->bottom)->toEqualWithDelta(3.0, 1e-9);

    $circle = Outline::ellipse(2, 2)->transformed(Affine::turn(31));
    expect($circle->bounds()->width())->toEqualWithDelta(2.0, 0.001);
});

it('turns clockwise on a sheet whose y points down', function (): void {
    [$x, $y] = Affine::turn(90)->apply(1, 0);
    expect($x)->toEqualWithDelta(0.0, 1e-12)->and($y)->toEqualWithDelta(1.0, 1e-12);
    expect(Affine::shift(1, 0)->then(Affine::scale(2, 2))->apply(1, 1))->toBe([4.0, 2.0]);
});

it('keeps curves as curves where a map leaves them straight', function (): void {
    $same = Outline::ellipse(2, 2)->mapped(fn (float $x, float $y): array => [$x + 1, $y], 0.0005);
    expect($same->segments)->toHaveCount(count(Outline::ellipse(2, 2)->segments))
        ->and($same->bounds()->left)->toEqualWithDelta(0.0, 1e-9);
});

it('cuts a long line even where its middle happens to be right', function (): void {
    $wave = Path::polygon([[0, 0], [2 * M_PI, 0], [2 * M_PI, 1], [0, 1]])->mapped(fn (float $x, float $y): array => [$x, $y + sin($x)], 0.001, 0.5);
    expect($wave->bounds()->top)->toEqualWithDelta(-1.0, 0.002)->and($wave->bounds()->bottom)->toEqualWithDelta(2.0, 0.002);
});

it('sweeps an outline along a line', function (float $x, float $y): void {
    // Of a convex figure moved by v: its area and |v| times its breadth across v.
    $bar = Region::filledBy(Outline::rectangle(2, 1));
    $swept = Region::filledBy($bar->path()->swept($x, $y));
    expect($swept->area())->toEqualWithDelta(2.0 + abs($x) * 1 + abs($y) * 2, 1e-9);
    $bounds = $swept->path()->bounds();
    expect([$bounds->left, $bounds->right])->toEqualWithDelta([-1 + min(0, $x), 1 + max(0, $x)], 1e-9);
})->with([[0.5, 0.25], [-0.5, 0.25], [0.0, -2.0], [3.0, 0.0], [-0.4, -4.0]]);

it('sweeps a ring along any way, its hole too, in few edges', function (float $angle): void {
    [$x, $y] = [0.7 * cos($angle), 0.7 * sin($angle)];
    $ring = Region::filledBy(Outline::ellipse(4, 4), 1e-4)->minus(Region::filledBy(Outline::ellipse(2, 2), 1e-4))->path();
    // Of the hole, what the two circles at its ends have in common is left: two segments of chords √(1 − 0.35²) from their middles.
    $lens = 2 * acos(0.35) - 0.7 * sqrt(1 - 0.35 ** 2);
    $swept = $ring->swept($x, $y);
    expect(Region::filledBy($swept, 1e-4)->area())->toEqualWithDelta(4 * M_PI + 4 * 0.7 - $lens, 2e-3)
        // The ring at both ends, and each of its edges once more at each end of what it passes over.
        ->and(count($swept->segments))->toBeLessThan(4 * count($ring->segments) + 40);
})->with([0.0, 0.3, M_PI_2, M_PI, 4.0]);

it('undoes what it did', function (): void {
    $by = Affine::turn(31)->then(Affine::scale(2, -0.5))->then(Affine::shift(3, 4));
    [$x, $y] = $by->then($by->inverse())->apply(0.7, -1.1);
    expect($x)->toEqualWithDelta(0.7, 1e-12)->and($y)->toEqualWithDelta(-1.1, 1e-12)
        ->and(fn () => Affine::scale(1, 0)->inverse())->toThrow(NothingToMeasure::class);
});

it('draws figures into their boxes', function (Path $path, float $width, float $height): void {
    $box = $path->bounds();
    expect($box->width())->toEqualWithDelta($width, 1e-9)->and($box->height())->toEqualWithDelta($height, 1e-9)
        ->and($box->centreX())->toEqualWithDelta(0.0, 1e-9)->and($box->centreY())->toEqualWithDelta(0.0, 1e-9);
})->with([
    'rectangle' => [fn () => Outline::rectangle(3, 2), 3, 2],
    'ellipse' => [fn () => Outline::ellipse(3, 2), 3, 2],
    'triangle' => [fn () => Outline::polygon(3, 3, 2), 3, 2],
    'star' => [fn () => Outline::star(5, 0.4, 3, 2), 3, 2],
    'ring' => [fn () => Outline::ring(0.2, 3, 2), 3, 2],
]);

it('does not measure nothing', function (): void {
    Path::empty()->bounds();
})->throws(NothingToMeasure::class);

it('is kept in few bytes and comes back as it was', function (): void {
    $path = new Path([['M', 1.5, -2.0], ['L', 3.25, 4.0], ['Q', 5.0, 6.0, 7.0, 8.5], ['C', 1.0, 2.0, 3.0, 4.0, 5.0, 6.0], ['Z'], ['M', -9.0, 0.125], ['L', 2.0, 2.0], ['Z']]);
    // A letter for each segment, a line feed, and eight bytes for each of its eighteen numbers.
    expect(strlen($path->packed()))->toBe(8 + 1 + 8 * 18)->and(Path::unpacked($path->packed())->segments)->toBe($path->segments)
        ->and(Path::unpacked((new Path([]))->packed())->segments)->toBe([]);
});

it('is made of closed chains of points', function (): void {
    $square = [[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 0.0]];
    expect(Path::chain([$square, [[5.0, 5.0], [6.0, 5.0], [5.0, 5.0]]])->segments)
        ->toBe([['M', 0.0, 0.0], ['L', 1.0, 0.0], ['L', 1.0, 1.0], ['Z'], ['M', 5.0, 5.0], ['L', 6.0, 5.0], ['Z']])
        ->and(Path::chain([])->segments)->toBe([]);
});
