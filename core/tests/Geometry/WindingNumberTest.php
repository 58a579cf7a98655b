<?php

declare(strict_types=1);

use TallCrow\Geometry\WindingNumber;

/** @return list<array{float, float}> a circle as a closed contour */
function roundAbout(float $x, float $y, float $radius, int $chords, bool $clockwise = false): array
{
    $points = [];
    for ($i = 0; $i <= $chords; $i++) {
        $angle = 2 * M_PI * ($i % $chords) / $chords * ($clockwise ? -1 : 1);
        $points[] = [$x + $radius * cos($angle), $y + $radius * sin($angle)];
    }

    return $points;
}

// The winding number is the turns of the angle under which a contour is seen from the point.
it('counts the turns of each contour about a point', function (): void {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(5));
    $float = fn (float $from, float $to): float => $from + ($to - $from) * $random->getInt(0, 1_000_000) / 1_000_000;
    $contours = [roundAbout(0, 0, 5, 400), roundAbout(0.5, 0, 3, 60, true), roundAbout(1, 1, 2, 4), [[-6.0, -6.0], [-6.0, 6.0], [6.0, 6.0], [6.0, -6.0], [-6.0, -6.0]]];
    for ($i = 0; $i < 60; $i++) {
        $contours[] = roundAbout($float(-5, 5), $float(-5, 5), $float(0.01, 1), $random->getInt(3, 9), $random->getInt(0, 1) === 1);
    }
    $winding = new WindingNumber($contours);
    $found = [];
    for ($i = 0; $i < 400; $i++) {
        [$x, $y] = [$float(-7, 7), $float(-7, 7)];
        $turns = 0.0;
        foreach ($contours as $contour) {
            for ($n = 1; $n < count($contour); $n++) {
                $turn = atan2($contour[$n][1] - $y, $contour[$n][0] - $x) - atan2($contour[$n - 1][1] - $y, $contour[$n - 1][0] - $x);
                $turns += $turn - 2 * M_PI * round($turn / (2 * M_PI));
            }
        }
        $found[] = $winding->about($x, $y);
        expect($found[$i])->toBe((int) round($turns / (2 * M_PI)));
    }
    expect(min($found))->toBeLessThan(0)->and(max($found))->toBeGreaterThan(1);
});

it('knows that nothing lies about a point where there is no contour', function (): void {
    expect((new WindingNumber([]))->about(0, 0))->toBe(0)->and((new WindingNumber([[[1.0, 1.0], [2.0, 1.0], [1.0, 1.0]]]))->about(1.5, 1))->toBe(0);
});
