<?php

declare(strict_types=1);

use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Type\Letter;

/** A letter of 2 × 1 about a place. */
function letter_at(float $x, float $y): Letter
{
    return Letter::figure(Outline::rectangle(2, 1)->transformed(TallCrow\Geometry\Affine::shift($x, $y)));
}

it('follows the slope of a map where it stands, whatever its size', function (float $x, float $y): void {
    // (x, y) goes to (x² + y, 3 y + x): the columns of its Jacobian are (2x, 1) and (1, 3).
    $map = fn (float $x, float $y): array => [$x ** 2 + $y, 3 * $y + $x];
    $bent = letter_at($x, $y)->bent(new Path([]), $map);
    expect($bent->right)->toEqualWithDelta([2 * $x, 1.0], 1e-3)->and($bent->down)->toEqualWithDelta([1.0, 3.0], 1e-3)->and($bent->path->isEmpty())->toBeTrue();
    // Bent once more, the slopes are multiplied.
    $twice = letter_at($x, $y)->bent(letter_at($x, $y)->path, $map)->bent(new Path([]), fn (float $x, float $y): array => [2 * $x, 5 * $y]);
    expect($twice->right)->toEqualWithDelta([4 * $x, 5.0], 1e-3)->and($twice->down)->toEqualWithDelta([2.0, 15.0], 1e-3);
})->with([[0.5, 0.25], [-3.0, 2.0], [40.0, -7.0]]);

it('turns its own axes with it', function (): void {
    // Right and down as a turn by 90° and a doubling leave them: (0, 2) and (-2, 0); and of a letter that was bent first, by the same.
    $turned = letter_at(1, 1)->transformed(new TallCrow\Geometry\Affine(0.0, 2.0, -2.0, 0.0, 7.0, 8.0));
    expect($turned->right)->toEqualWithDelta([0.0, 2.0], 1e-12)->and($turned->down)->toEqualWithDelta([-2.0, 0.0], 1e-12);
    $bent = letter_at(0, 0)->bent(new Path([]), fn (float $x, float $y): array => [3 * $x + 5 * $y, 7 * $x + 11 * $y])->transformed(new TallCrow\Geometry\Affine(1.0, 2.0, 4.0, 8.0, 0.0, 0.0));
    // By hand: (1·3 + 4·7, 2·3 + 8·7) and (1·5 + 4·11, 2·5 + 8·11).
    expect($bent->right)->toEqualWithDelta([31.0, 62.0], 1e-6)->and($bent->down)->toEqualWithDelta([49.0, 98.0], 1e-6);
});
