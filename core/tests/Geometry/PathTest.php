<?php

declare(strict_types=1);

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\NothingToMeasure;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;

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

it('keeps within its tolerance when it bends', function (): void {
    $circle = Outline::ellipse(2, 2)->mapped(fn (float $x, float $y): array => [$x, $y], 0.0005);
    foreach ($circle->segments as $i => $segment) {
        if ($segment[0] === 'L') {
            $before = $circle->segments[$i - 1];
            [$mx, $my] = [($segment[1] + $before[1]) / 2, ($segment[2] + $before[2]) / 2];
            // The four cubics are themselves off the true circle by 0.00027 at most.
            expect(1 - hypot($mx, $my))->toBeLessThan(0.0005 + 0.0003);
        }
    }
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
