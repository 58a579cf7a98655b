<?php

declare(strict_types=1);

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\NothingToMeasure;

it('multiplies as matrices do', function (): void {
    [$m, $n] = [new Affine(2, 3, 5, 7, 11, 13), new Affine(17, 19, 23, 29, 31, 37)];
    // [17 23 31; 19 29 37; 0 0 1] · [2 5 11; 3 7 13; 0 0 1], worked by hand.
    expect($m->then($n))->toEqual(new Affine(103, 125, 246, 298, 517, 623))
        ->and($m->apply(1, 2))->toBe([23.0, 30.0])->and($m->then($n)->apply(1, 2))->toBe($n->apply(...$m->apply(1, 2)))
        ->and($m->toSvg())->toBe('matrix(2 3 5 7 11 13)');
    // The determinant is -1: the inverse is [-7 5; 3 -2], and what the shift becomes.
    expect($m->inverse())->toEqual(new Affine(-7, 3, 5, -2, 12, -7));
    // Areas grow by the determinant: 2 · 7 - 3 · 5 = -1, 3 · 3, 2 · 8.
    expect($m->factor())->toEqualWithDelta(1.0, 1e-12)->and(Affine::scale(3, 3)->then(Affine::turn(30))->factor())->toEqualWithDelta(3.0, 1e-12)->and(Affine::scale(2, -8)->factor())->toEqualWithDelta(4.0, 1e-12);
    expect(fn () => (new Affine(1, 2, 2, 4, 0, 0))->inverse())->toThrow(NothingToMeasure::class);
    expect((new Affine(1e-8, 0, 0, 1e-8, 0, 0))->inverse()->a)->toEqualWithDelta(1e8, 1);
    expect(Affine::identity()->apply(3, 4))->toBe([3.0, 4.0]);
});

it('turns about the origin by the angle', function (float $degrees): void {
    [$x, $y] = Affine::turn($degrees)->apply(2, 0);
    expect($x)->toEqualWithDelta(2 * cos(deg2rad($degrees)), 1e-12)->and($y)->toEqualWithDelta(2 * sin(deg2rad($degrees)), 1e-12);
    [$x, $y] = Affine::turn($degrees)->apply(0, 1);
    expect($x)->toEqualWithDelta(-sin(deg2rad($degrees)), 1e-12)->and($y)->toEqualWithDelta(cos(deg2rad($degrees)), 1e-12);
})->with([30.0, -45.0, 90.0, 200.0]);

it('measures boxes', function (): void {
    $box = new Box(1, 2, 5, 10);
    expect([$box->width(), $box->height(), $box->centreX(), $box->centreY()])->toBe([4.0, 8.0, 3.0, 6.0])
        ->and($box->toArray())->toBe(['left' => 1.0, 'top' => 2.0, 'width' => 4.0, 'height' => 8.0])
        ->and(Box::centred(3, 6, 4, 8))->toEqual($box)->and($box->grown(1))->toEqual(new Box(0, 1, 6, 11));
    expect($box->isEmpty())->toBeFalse()->and((new Box(1, 2, 1, 10))->isEmpty())->toBeTrue()->and((new Box(1, 2, 5, 2))->isEmpty())->toBeTrue()
        ->and((new Box(1, 2, 0, 10))->isEmpty())->toBeTrue()->and((new Box(1, 2, 5, 1))->isEmpty())->toBeTrue();
    $other = new Box(3, 0, 9, 4);
    expect($box->union($other))->toEqual(new Box(1, 0, 9, 10))->and($other->union($box))->toEqual(new Box(1, 0, 9, 10))
        ->and($box->intersection($other))->toEqual(new Box(3, 2, 5, 4))->and($other->intersection($box))->toEqual(new Box(3, 2, 5, 4));
    // Four by eight, turned by 30°: w·cos + h·sin wide, w·sin + h·cos tall.
    $turned = $box->transformed(Affine::shift(-3, -6)->then(Affine::turn(30)));
    expect($turned->width())->toEqualWithDelta(4 * cos(M_PI / 6) + 4, 1e-9)->and($turned->height())->toEqualWithDelta(2 + 8 * cos(M_PI / 6), 1e-9)
        ->and($turned->centreX())->toEqualWithDelta(0.0, 1e-9)->and($turned->top)->toEqualWithDelta(-$turned->bottom, 1e-9);
});

it('bends there and back', function (Bend $bend): void {
    foreach ([[0.3, 0.4], [-1.0, 2.0], [3.0, -0.5]] as [$x, $y]) {
        expect(($bend->back)(...($bend->forward)($x, $y)))->toEqualWithDelta([$x, $y], 1e-9);
    }
})->with([
    'not at all' => [fn () => Bend::none()],
    'by an affine map' => [fn () => Bend::affine(new Affine(2, 3, 5, 7, 11, 13))],
    'by columns' => [fn () => Bend::columns(fn (float $x): float => sin($x))],
    'one after the other' => [fn () => Bend::columns(fn (float $x): float => $x * $x)->then(Bend::affine(new Affine(2, 3, 5, 7, 11, 13)))],
]);

it('moves columns down, and one map after the other', function (): void {
    $square = Bend::columns(fn (float $x): float => $x * $x);
    expect(($square->forward)(3, 1))->toBe([3.0, 10.0])->and((Bend::affine(Affine::scale(2, 2))->then($square)->forward)(1, 1))->toBe([2.0, 6.0])
        ->and(($square->then(Bend::affine(Affine::scale(2, 2)))->forward)(1, 1))->toBe([2.0, 4.0]);
});

it('finds the bounds of what it bends', function (): void {
    $box = new Box(0, 0, 2 * M_PI, 1);
    $bounds = Bend::columns(fn (float $x): float => sin($x))->bounds($box);
    expect($bounds->left)->toBe(0.0)->and($bounds->right)->toEqualWithDelta(2 * M_PI, 1e-9)->and($bounds->top)->toEqualWithDelta(-1.0, 0.003)->and($bounds->bottom)->toEqualWithDelta(2.0, 0.003);
    expect(Bend::affine(Affine::scale(-2, 3))->bounds(new Box(1, 2, 4, 5)))->toEqual(new Box(-8, 6, -2, 15));
    // A row of points in the middle is looked at as well as the rims.
    $hill = new Bend(fn (float $x, float $y): array => [$x + 4 * $y * (1 - $y), $y], fn (float $x, float $y): array => [$x - 4 * $y * (1 - $y), $y]);
    expect($hill->bounds(new Box(0, 0, 1, 1))->right)->toEqualWithDelta(2.0, 1e-6);
});
