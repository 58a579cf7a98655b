<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/** Rosettes as on a big cat: each a heart and a ring about it that is broken in some places, none like another. */
final class AnimalSpots implements Paper
{
    /** Rosettes across the tile. */
    private const ACROSS = 18;

    public static function kind(): string
    {
        return 'animal-spots';
    }

    public static function tile(int $seed, Colours $colours): Image
    {
        [$ground, $heart, $ring] = [$colours->hex(1), $colours->hex(0), $colours->hex(2)];
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $chance = fn (float $from, float $to): float => $from + ($to - $from) * $random->getInt(0, 1_000_000) / 1_000_000;
        $cell = self::TILE / self::ACROSS;
        $marks = '';
        for ($i = 0; $i < self::ACROSS * self::ACROSS; $i++) {
            $row = intdiv($i, self::ACROSS);
            [$x, $y] = [($i % self::ACROSS + ($row % 2) / 2 + $chance(0.3, 0.7)) * $cell, ($row + $chance(0.35, 0.65)) * $cell];
            $rosette = self::rosette($chance, $cell * $chance(0.28, 0.42), $heart, $ring);
            foreach ([-self::TILE, 0, self::TILE] as $dx) {
                foreach ([-self::TILE, 0, self::TILE] as $dy) {
                    if (abs($x + $dx - self::TILE / 2) < self::TILE / 2 + $cell && abs($y + $dy - self::TILE / 2) < self::TILE / 2 + $cell) {
                        $marks .= sprintf('<g transform="translate(%.1f %.1f)">%s</g>', $x + $dx, $y + $dy, $rosette);
                    }
                }
            }
        }

        return Drawing::on($ground, $marks);
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
