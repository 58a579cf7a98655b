<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;

/** Rosettes as on a big cat: each is a centre with a broken ring around it, no two alike. */
final class AnimalSpots implements Paper
{
    /** Rosettes across a patch. */
    private const ACROSS = 11;

    public static function kind(): string
    {
        return 'animal-spots';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        [$ground, $heart, $ring] = [$colours->hex(1), $colours->hex(0), $colours->hex(2)];
        $draw = Chance::seeded($seed);
        $chance = $draw->of(...);
        [$side, $count] = [$across * Patchwork::PATCH, $across * self::ACROSS];
        // An even number of rows, since every second row is shifted by half a step.
        $rows = $count + $count % 2;
        [$cell, $high] = [$side / $count, $side / $rows];
        $marks = '';
        for ($i = 0; $i < $count * $rows; $i++) {
            $row = intdiv($i, $count);
            [$x, $y] = [($i % $count + ($row % 2) / 2 + $chance(0.3, 0.7)) * $cell, ($row + $chance(0.35, 0.65)) * $high];
            $rosette = self::rosette($chance, $cell * $chance(0.28, 0.42), $heart, $ring);
            $marks .= Drawing::wrapped($rosette, $x, $y, $cell, $side);
        }

        return Drawing::on($ground, $marks, $side);
    }

    /** @param  \Closure(float, float): float  $chance */
    private static function rosette(\Closure $chance, float $radius, string $heart, string $ring): string
    {
        $points = [];
        for ($i = 0; $i < 9; $i++) {
            $far = $radius * $chance(0.5, 0.85);
            $points[] = [$far * cos(2 * M_PI * $i / 9), $far * sin(2 * M_PI * $i / 9)];
        }
        $drawn = sprintf('<path d="%s" fill="%s"/>', self::smooth($points), $heart);
        $parts = (int) round($chance(2.6, 4.4));
        $start = $chance(0, 360);
        for ($i = 0; $i < $parts; $i++) {
            $from = $start + 360 * $i / $parts + $chance(6, 22);
            $to = $start + 360 * ($i + 1) / $parts - $chance(6, 22);
            $middle = ($from + $to) / 2;
            [$near, $bow] = [$radius * $chance(0.92, 1.08), $radius * $chance(1.1, 1.35)];
            $at = fn (float $far, float $degrees): string => sprintf('%.1f %.1f', $far * cos(deg2rad($degrees)), $far * sin(deg2rad($degrees)));
            $drawn .= sprintf('<path d="M%sQ%s %s" fill="none" stroke="%s" stroke-width="%.1f" stroke-linecap="round"/>', $at($near, $from), $at($bow, $middle), $at($near, $to), $ring, $radius * $chance(0.36, 0.6));
        }

        return $drawn;
    }

    /**
     * A closed curve through the middles of the sides.
     *
     * @param  list<array{float, float}>  $points
     */
    private static function smooth(array $points): string
    {
        $count = count($points);
        $d = '';
        foreach ($points as $i => [$x, $y]) {
            [$nx, $ny] = $points[($i + 1) % $count];
            $middle = sprintf('%.1f %.1f', ($x + $nx) / 2, ($y + $ny) / 2);
            $d .= $i === 0 ? "M$middle" : sprintf('Q%.1f %.1f %s', $x, $y, $middle);
        }
        [[$x, $y], [$nx, $ny]] = [$points[0], $points[1]];

        return $d.sprintf('Q%.1f %.1f %.1f %.1fZ', $x, $y, ($x + $nx) / 2, ($y + $ny) / 2);
    }
}
