<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

/** Formulas for circular arcs. */
final class Arc
{
    /** Half the angle (radians) at which an arc of given length has the largest sagitta; beyond it the circle closes and the sagitta shrinks. */
    private const HIGHEST = 2.3311;

    /** Radius of the circle with a given sagitta s and half chord h: (s² + h²) ÷ 2s. */
    public static function radius(float $sagitta, float $halfChord): float
    {
        return ($sagitta ** 2 + $halfChord ** 2) / (2 * $sagitta);
    }

    /** Radius of the circle on which an arc of length l has sagitta s: s = r (1 − cos(l ÷ 2r)), solved for r. */
    public static function radiusOfLength(float $length, float $sagitta): float
    {
        $wanted = $sagitta / $length;
        [$low, $high] = [1e-6, self::HIGHEST];
        for ($i = 0; $i < 60; $i++) {
            $half = ($low + $high) / 2;
            [$low, $high] = (1 - cos($half)) / (2 * $half) < $wanted ? [$half, $high] : [$low, $half];
        }

        return $length / ($low + $high);
    }
}
