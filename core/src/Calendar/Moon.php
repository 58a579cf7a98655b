<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** Full and new moons: mean phase with the larger periodic terms of Meeus (Astronomical Algorithms, chapter 49); accurate to a few minutes. */
final class Moon
{
    /** @return list<\DateTimeImmutable> the moments (UTC) of full or new moon in a year */
    public static function moments(int $year, bool $full): array
    {
        $moments = [];
        for ($k = floor(($year - 2000) * 12.3685) - 1 + ($full ? 0.5 : 0.0), $i = 0; $i < 16; $i++, $k++) {
            $moments[] = new \DateTimeImmutable('@'.(int) round((self::phase($k, $full) - 2440587.5) * 86400));
        }

        return array_values(array_filter($moments, fn (\DateTimeImmutable $moment): bool => (int) $moment->format('Y') === $year));
    }

    /** As a Julian date in universal time. */
    private static function phase(float $k, bool $full): float
    {
        $t = $k / 1236.85;
        $mean = 2451550.09766 + 29.530588861 * $k + 0.00015437 * $t ** 2;
        $e = 1 - 0.002516 * $t - 0.0000074 * $t ** 2;
        [$sun, $moon, $argument] = array_map(deg2rad(...), [2.5534 + 29.10535670 * $k, 201.5643 + 385.81693528 * $k + 0.0107582 * $t ** 2, 160.7108 + 390.67050284 * $k - 0.0016118 * $t ** 2]);
        $node = deg2rad(124.7746 - 1.56375588 * $k);
        $terms = $full
            ? [[-0.40614, $moon], [0.17302 * $e, $sun], [0.01614, 2 * $moon], [0.01043, 2 * $argument], [0.00734 * $e, $moon - $sun], [-0.00515 * $e, $moon + $sun], [0.00209 * $e ** 2, 2 * $sun], [-0.00111, $moon - 2 * $argument]]
            : [[-0.40720, $moon], [0.17241 * $e, $sun], [0.01608, 2 * $moon], [0.01039, 2 * $argument], [0.00739 * $e, $moon - $sun], [-0.00514 * $e, $moon + $sun], [0.00208 * $e ** 2, 2 * $sun], [-0.00111, $moon - 2 * $argument]];
        $shift = -0.00017 * sin($node);
        foreach ($terms as [$size, $angle]) {
            $shift += $size * sin($angle);
        }

        // Universal time is about 70 s behind dynamical time in this century.
        return $mean + $shift - 70 / 86400;
    }
}
