<?php

declare(strict_types=1);

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Join;
use TallCrow\Geometry\Offset;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Geometry\Region;

const FINE = 1e-5;

/** @param  list<array{float, Join, float}>  $steps */
function offset_area(Path $path, array $steps): float
{
    $region = Region::filledBy($path, FINE)->path();

    return Region::filledBy(Offset::outwards($region->contours(FINE), $steps, FINE))->area();
}

// Minkowski's sum of a convex figure and a disc, by Steiner's formula: area + edge × r + π r². Mitred corners fill what lies beyond the disc.
it('moves edges out by strips and fans as Steiner\'s formula says', function (): void {
    $bar = Outline::rectangle(2, 1);
    expect(offset_area($bar, [[0.3, Join::Round, 3.0]]))->toEqualWithDelta(2 + 6 * 0.3 + M_PI * 0.09, 1e-4)
        ->and(offset_area($bar, [[0.3, Join::Mitre, 3.0]]))->toEqualWithDelta(2.6 * 1.6, 1e-9)
        ->and(offset_area($bar, [[0.3, Join::Bevel, 3.0]]))->toEqualWithDelta(2.6 * 1.6 - 4 * 0.09 / 2, 1e-9)
        // Mitred first, round after it: a round sum about the larger bar; and bevelled twice, the corner stays as it was cut.
        ->and(offset_area($bar, [[0.1, Join::Mitre, 3.0], [0.2, Join::Round, 3.0]]))->toEqualWithDelta(2.2 * 1.2 + 6.8 * 0.2 + M_PI * 0.04, 1e-4)
        ->and(offset_area($bar, [[0.1, Join::Round, 3.0], [0.2, Join::Mitre, 3.0]]))->toEqualWithDelta(2 + 6 * 0.3 + M_PI * 0.09, 1e-4);
});

it('moves the edge of a hole inwards, and fills one that is too small', function (): void {
    $frame = fn (float $hole): Path => Path::join(Outline::rectangle(4, 4), Outline::rectangle($hole, $hole)->transformed(Affine::scale(-1, 1)));
    expect(offset_area($frame(2), [[0.25, Join::Mitre, 3.0]]))->toEqualWithDelta(4.5 ** 2 - 1.5 ** 2, 1e-9)
        ->and(offset_area($frame(0.4), [[0.25, Join::Mitre, 3.0]]))->toEqualWithDelta(4.5 ** 2, 1e-9);
});

it('cuts a point beyond its limit square at one width, and keeps rings about it even', function (): void {
    $needle = Path::polygon([[0, 0], [-2, 2 * tan(deg2rad(5))], [-2, -2 * tan(deg2rad(5))]]);
    $right = fn (array $steps): float => Offset::outwards(Region::filledBy($needle)->path()->contours(FINE), $steps, FINE)->bounds()->right;
    expect($right([[0.1, Join::Mitre, 12.0]]))->toEqualWithDelta(0.1 / sin(deg2rad(5)), 1e-6)
        ->and($right([[0.1, Join::Mitre, 3.0]]))->toEqualWithDelta(0.1, 1e-6)
        ->and($right([[0.1, Join::Mitre, 3.0], [0.2, Join::Mitre, 3.0]]))->toEqualWithDelta(0.3, 1e-6)
        ->and($right([[0.1, Join::Bevel, 3.0]]))->toEqualWithDelta(0.1, 1e-6);
});

it('lays strips inside the edge', function (): void {
    $bar = Region::filledBy(Outline::rectangle(2, 1))->path();
    $rim = Region::filledBy(Offset::inwards($bar->contours(FINE), [[0.1, Join::Round, 3.0]], FINE));
    expect($rim->area())->toEqualWithDelta(2 - 1.8 * 0.8, 1e-9);
    // Of a corner that goes in, the rim has a quarter of a disc, or a square when it is pointed.
    $corner = Region::filledBy(Path::polygon([[0, 0], [2, 0], [2, 1], [1, 1], [1, 2], [0, 2]]))->path();
    $rim = fn (Join $join): float => Region::filledBy(Offset::inwards($corner->contours(FINE), [[0.1, $join, 3.0]], FINE))->area();
    expect($rim(Join::Mitre) - $rim(Join::Round))->toEqualWithDelta(0.01 - M_PI * 0.01 / 4, 1e-5);
});
