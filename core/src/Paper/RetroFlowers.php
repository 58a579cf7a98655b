<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;

/** Bold round flowers with rings in them, large and small, close together: as on curtains of fifty years ago. */
final class RetroFlowers implements Paper
{
    /** Radii of flowers in pixels, and darts thrown for each radius (see Scatter). */
    private const SIZES = [[235.0, 40], [150.0, 60], [95.0, 90], [58.0, 160], [30.0, 260]];

    public static function kind(): string
    {
        return 'retro-flowers';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $chance = Chance::seeded($seed);
        $side = $across * Patchwork::PATCH;
        $all = $colours->atLeast(3);
        $inks = array_map(fn ($colour): string => $colour->toHex(), [$all[0], ...array_slice($all, 2)]);
        $marks = '';
        foreach (Scatter::over($side, array_map(fn (array $size): array => [$size[0], $size[1] * $across * $across], self::SIZES), $chance) as [$x, $y, $radius]) {
            $marks .= Drawing::wrapped($radius < 40 ? self::dot($radius, $inks[$chance->whole(0, count($inks) - 1)]) : self::flower($chance, $radius, $inks, $all[1]->toHex()), $x, $y, $radius, $side);
        }

        return Drawing::on($all[1]->toHex(), $marks, $side);
    }

    private static function dot(float $radius, string $ink): string
    {
        return sprintf('<circle r="%.1f" fill="%s"/>', $radius * 0.62, $ink);
    }

    /** @param  list<string>  $inks */
    private static function flower(Chance $chance, float $radius, array $inks, string $ground): string
    {
        $first = $chance->whole(0, count($inks) - 1);
        $ink = fn (int $ring): string => $inks[($first + $ring) % count($inks)];
        $petals = $chance->whole(6, 9);
        $turn = $chance->of(0, 360);
        $radius *= 0.95;
        // Petals touch one another; each has a smaller one inside.
        $half = $radius * sin(M_PI / $petals);
        $middle = $radius - $half;
        $drawn = '';
        foreach ([[1.02, $ink(0)], [0.58, $ground], [0.34, $ink(1)]] as [$share, $fill]) {
            $petal = sprintf('<ellipse cx="%.1f" rx="%.1f" ry="%.1f" fill="%s"/>', $middle, $half * $share * 1.05, $half * $share, $fill);
            for ($i = 0; $i < $petals; $i++) {
                $drawn .= sprintf('<g transform="rotate(%.2f)">%s</g>', $turn + 360 * $i / $petals, $petal);
            }
            $drawn .= $share > 1 ? sprintf('<circle r="%.1f" fill="%s"/>', $middle, $fill) : '';
        }
        foreach ([[0.62, $ground], [0.5, $ink(1)], [0.26, $ink(0)]] as [$share, $fill]) {
            $drawn .= sprintf('<circle r="%.1f" fill="%s"/>', max(4.0, $middle - $half) * $share * 1.25, $fill);
        }

        return $drawn;
    }
}
