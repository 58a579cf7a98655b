<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

/** Sums about the arc of a circle. */
final class Arc
{
    /** Half of the angle at which an arc of a given length rises highest; beyond it the circle closes and sinks again. */
    private const HIGHEST = 2.3311;

    /** The circle through a chord of two halves with the given sagitta: (s² + h²) ÷ 2s. */
    public static function radius(float $sagitta, float $halfChord): float
    {
        return ($sagitta ** 2 + $halfChord ** 2) / (2 * $sagitta);
    }

    /** The circle on which an arc of a given length has the given sagitta: s = r (1 − cos(l ÷ 2r)), solved for r. */
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
