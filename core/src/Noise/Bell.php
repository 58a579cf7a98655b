<?php

declare(strict_types=1);

namespace TallCrow\Noise;

/** The standard normal distribution. */
final class Bell
{
    /** Distribution function Φ(z): Abramowitz and Stegun 26.2.17, error below 1e-7. */
    public static function below(float $z): float
    {
        $t = 1 / (1 + 0.2316419 * abs($z));
        $tail = exp(-$z * $z / 2) / sqrt(2 * M_PI) * $t * (0.319381530 + $t * (-0.356563782 + $t * (1.781477937 + $t * (-1.821255978 + $t * 1.330274429))));

        return $z > 0 ? 1 - $tail : $tail;
    }

    /** Quantile Φ⁻¹(share): Abramowitz and Stegun 26.2.23, error below 4.5e-4. */
    public static function deviations(float $share): float
    {
        $tail = max(1e-12, min($share, 1 - $share));
        $t = sqrt(-2 * log($tail));
        $z = $t - (2.515517 + $t * (0.802853 + $t * 0.010328)) / (1 + $t * (1.432788 + $t * (0.189269 + $t * 0.001308)));

        return $share < 0.5 ? -$z : $z;
    }
}
