<?php

declare(strict_types=1);

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Join;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Geometry\Region;

/** Minkowski's sum of a convex figure and a disc (Steiner's formula): area + edge × r + π r². */
it('moves convex outlines out as Steiner\'s formula says', function (): void {
    $bar = Region::filledBy(Outline::rectangle(2, 1));
    expect($bar->moved(0.3)->area())->toEqualWithDelta(2 + 6 * 0.3 + M_PI * 0.09, 5e-4)
        ->and($bar->moved(0.3, Join::Mitre)->area())->toEqualWithDelta(2.6 * 1.6, 1e-9)
        // A bevel leaves a triangle out at each corner.
        ->and($bar->moved(0.3, Join::Bevel)->area())->toEqualWithDelta(2.6 * 1.6 - 4 * 0.09 / 2, 1e-4)
        ->and($bar->moved(-0.2)->area())->toEqualWithDelta(1.6 * 0.6, 1e-9)
        ->and($bar->moved(-0.6)->isEmpty())->toBeTrue();
});

it('keeps curves smooth however far they are moved', function (float $by): void {
    // A hole of radius 1 in a square, whose edge is bent inwards where it is moved out.
    $square = Region::filledBy(Path::join(Outline::rectangle(4, 4), Outline::ellipse(2, 2)->transformed(Affine::scale(-1, 1))));
    $points = array_filter($square->moved($by)->path()->segments, fn (array $s): bool => $s[0] !== 'Z' && abs($s[1]) < 1.3 && abs($s[2]) < 1.3);
    $off = array_map(fn (array $s): float => abs(hypot($s[1], $s[2]) - (1 - $by)), $points);
    expect(count($off))->toBeGreaterThan(30)->and(max($off))->toBeLessThan(0.15 / 300 + 0.00028 + 0.01 * $by / 3);
})->with([0.02, 0.1, 0.3]);

it('fills crossings by the nonzero rule', function (): void {
    // A five-pointed star drawn in one line: the nonzero rule fills its middle too.
    $points = array_map(fn (int $i): array => [cos(deg2rad(144 * $i)), sin(deg2rad(144 * $i))], range(0, 4));
    $star = Region::filledBy(Path::polygon($points));
    // Ten triangles from the middle to the corners of both circles: n R r sin(π/n).
    $inner = cos(deg2rad(72)) / cos(deg2rad(36));
    expect($star->area())->toEqualWithDelta(5 * $inner * sin(M_PI / 5), 1e-6);
    // Two bars that run the same way, one over the other; and a hole that a third covers in part.
    $cross = Region::filledBy(Path::join(Outline::rectangle(3, 1), Outline::rectangle(1, 3)));
    $covered = Region::filledBy(Path::join(Outline::rectangle(3, 3), Outline::rectangle(1, 1)->transformed(Affine::scale(-1, 1)), Outline::rectangle(0.5, 2)));
    expect($cross->area())->toEqualWithDelta(5.0, 1e-9)->and($covered->area())->toEqualWithDelta(9 - 1 + 0.5, 1e-9);
});

it('cuts a corner that is too sharp for its limit square at one width', function (): void {
    // A needle of 10° pointing right; its mitre would reach 1 ÷ sin 5° = 11.5 widths.
    $needle = Region::filledBy(Path::polygon([[0, 0], [-2, 2 * tan(deg2rad(5))], [-2, -2 * tan(deg2rad(5))]]));
    expect($needle->moved(0.1, Join::Mitre, 12)->path()->bounds()->right)->toEqualWithDelta(0.1 / sin(deg2rad(5)), 1e-4)
        ->and($needle->moved(0.1, Join::Mitre, 3)->path()->bounds()->right)->toEqualWithDelta(0.1, 0.001)
        ->and($needle->moved(0.1, Join::Bevel)->path()->bounds()->right)->toEqualWithDelta(0.1, 0.001);
    // Wherever it lies and points: its tip on the way out of the origin, so that a width beyond it is one along that way.
    foreach ([[30.0, 4.0], [145.0, 2.0], [-100.0, 3.0]] as [$turn, $far]) {
        $there = Region::filledBy(Path::polygon([[0, 0], [-2, 2 * tan(deg2rad(5))], [-2, -2 * tan(deg2rad(5))]])->transformed(Affine::shift($far, 0)->then(Affine::turn($turn))));
        expect($there->moved(0.1, Join::Mitre, 3)->path()->transformed(Affine::turn(-$turn))->bounds()->right)->toEqualWithDelta($far + 0.1, 0.001);
    }
});

it('leaves out holes and islands that are too small for a disc, and no others', function (): void {
    $hole = fn (float $width, float $height, float $x): Path => Outline::rectangle($width, $height)->transformed(Affine::scale(-1, 1)->then(Affine::shift($x, 0)));
    $region = Region::filledBy(Path::join(
        Outline::rectangle(4, 2), $hole(0.011, 1, -1), $hole(0.013, 1, 0), $hole(0.2, 0.2, 1),
        Outline::ellipse(0.011, 0.011)->transformed(Affine::shift(3, 0)), Outline::ellipse(0.014, 0.014)->transformed(Affine::shift(4, 0)),
        // A slanted sliver, wide and tall but thin.
        Path::polygon([[5, 0], [6, 0.99], [6, 1.0]]),
    ));
    expect($region->withoutCrumbs(0.012)->area())->toEqualWithDelta(8 - 0.013 - 0.04 + M_PI * 0.007 ** 2, 1e-5);
});

it('is whole without its holes', function (): void {
    $ring = Region::filledBy(Outline::ring(0.25, 4, 4));
    expect($ring->whole()->area())->toEqualWithDelta(M_PI * 4, 0.01)->and($ring->whole()->minus($ring)->area())->toEqualWithDelta(M_PI * 4 * 0.75 ** 2, 0.01);
});

it('covers what a round brush covers along a line, as finely as it tells', function (): void {
    // A capsule: length × width + the disc; a dab is the disc alone.
    $capsule = Region::along([[0.0, 0.0], [3.0, 0.0]], 0.5);
    expect($capsule->area())->toEqualWithDelta(3 * 0.5 + M_PI * 0.25 ** 2, M_PI * 0.5 * Region::TOLERANCE)
        ->and(Region::along([[1.0, 1.0]], 0.5)->area())->toEqualWithDelta(M_PI * 0.25 ** 2, M_PI * 0.5 * Region::TOLERANCE)
        // A bend counts once.
        ->and(Region::along([[0.0, 0.0], [2.0, 0.0], [2.0, 2.0]], 0.1)->area())->toEqualWithDelta(0.4 - 0.05 ** 2 + M_PI * 0.05 ** 2 * 1.25, 2e-4);
    // The middle of every chord of the round end lies within two tolerances of the circle, and there are no more of them than that needs.
    foreach ([0.05, 0.5, 4.0, 20.0] as $width) {
        $points = array_values(array_filter(Region::along([[0.0, 0.0]], $width)->path()->segments, fn (array $s): bool => $s[0] !== 'Z'));
        $far = $chords = 0;
        foreach ($points as $i => [, $x, $y]) {
            [, $toX, $toY] = $points[($i + 1) % count($points)];
            $far = max($far, $width / 2 - hypot(($x + $toX) / 2, ($y + $toY) / 2));
            $chords++;
        }
        // The sagitta r (1 - cos(π / n)) of n chords.
        $needed = M_PI / acos(max(-1.0, 1 - 2 * Region::TOLERANCE / $width));
        expect($far)->toBeLessThan(2 * Region::TOLERANCE)->and($chords)->toBeGreaterThanOrEqual(16)->toBeLessThan(max(17.0, 1.6 * $needed + 6));
    }
});

it('holds curves to a tenth of a pixel at 300 ppi', function (): void {
    expect(Region::TOLERANCE)->toEqualWithDelta(0.1 / 300, 1e-12);
    foreach ([0.2, 2.0, 12.0] as $across) {
        $circle = Region::filledBy(Outline::ellipse($across, $across));
        // Chords lie within: less by no more than the edge times the tolerance. Four cubic curves stray from a circle by 0.0273 % of its radius (known).
        expect($circle->area())->toBeLessThan(M_PI * $across ** 2 / 4 * 1.00055)->toBeGreaterThan(M_PI * $across ** 2 / 4 - M_PI * $across * 0.1 / 300);
    }
});
