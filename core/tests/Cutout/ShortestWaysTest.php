<?php

declare(strict_types=1);

use TallCrow\Cutout\ColourBells;
use TallCrow\Cutout\ShortestWays;

it('finds the shortest ways of a network', function (): void {
    // Six nodes; the ways were added up by hand: 0 to 2 by 1, though a straight step is there; 5 by 2 and 4.
    $steps = [];
    foreach ([[0, 1, 2.0], [1, 2, 3.0], [0, 2, 7.0], [2, 4, 1.5], [1, 3, 9.0], [4, 5, 0.5], [3, 5, 2.0]] as [$one, $other, $long]) {
        $steps[$one][$other] = $steps[$other][$one] = $long;
    }
    expect(ShortestWays::of($steps, 7, [0], 100.0))->toBe([0.0, 2.0, 5.0, 9.0, 6.5, 7.0, 100.0])
        // To the nearer of two.
        ->and(ShortestWays::of($steps, 7, [0, 5], 100.0))->toBe([0.0, 2.0, 2.0, 2.0, 0.5, 0.0, 100.0])
        ->and(ShortestWays::of($steps, 3, [], 50.0))->toBe([50.0, 50.0, 50.0]);
});

it('finds the ways through a grid by the walls between its fields', function (): void {
    // Five by five; a wall between the second and third column, open in the last row.
    $steps = [];
    for ($at = 0; $at < 25; $at++) {
        [$x, $y] = [$at % 5, intdiv($at, 5)];
        if ($x < 4) {
            $steps[$at][$at + 1] = $steps[$at + 1][$at] = $x === 1 && $y < 4 ? 20.0 : 1.0;
        }
        if ($y < 4) {
            $steps[$at][$at + 5] = $steps[$at + 5][$at] = 1.0;
        }
    }
    $ways = ShortestWays::of($steps, 25, [0], INF);
    expect($ways[1])->toBe(1.0)->and($ways[24])->toBe(8.0)->and($ways[2])->toBe(10.0)->and($ways[4])->toBe(12.0);
});

it('weighs a colour by bells about others', function (): void {
    // One colour alone: the bell itself, 1 at its middle and e^-1/2 a deviation off it, whichever way that is.
    $bells = ColourBells::about([[50.0, 10.0, -20.0]], 7.0);
    expect($bells->likely([50.0, 10.0, -20.0]))->toBe(1.0);
    foreach ([[57.0, 10.0, -20.0], [50.0, 3.0, -20.0], [50.0, 10.0, -13.0]] as $lab) {
        expect($bells->likely($lab))->toEqualWithDelta(exp(-0.5), 1e-12);
    }
    // Far apart, each counts by its share.
    $shares = ColourBells::about([[20.0, 0.0, 0.0], [20.0, 0.0, 0.0], [20.0, 0.0, 0.0], [90.0, 0.0, 0.0]], 7.0);
    expect($shares->likely([20.0, 0.0, 0.0]))->toEqualWithDelta(0.75, 1e-6)->and($shares->likely([90.0, 0.0, 0.0]))->toEqualWithDelta(0.25, 1e-6);
    // Those that lie in a cube are their mean.
    $near = ColourBells::about([[20.5, 1.0, -4.0], [22.5, 3.0, -2.0]], 7.0);
    expect($near->likely([21.5, 2.0, -3.0]))->toEqualWithDelta(1.0, 1e-12)
        ->and(ColourBells::about([], 7.0)->likely([50.0, 0.0, 0.0]))->toBe(0.0);
});
