<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;

/** Small flowers, buds and sprigs with stems and leaves, strewn over the ground as on a summer dress. */
final class Meadow implements Paper
{
    private const SIZES = [[105.0, 260], [72.0, 300], [44.0, 420], [20.0, 500]];

    public static function kind(): string
    {
        return 'meadow';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $chance = Chance::seeded($seed);
        $side = $across * Patchwork::PATCH;
        $all = $colours->atLeast(3);
        // The second colour is the ground; the last is that of stems and leaves.
        $leaf = $all[count($all) - 1]->toHex();
        $petals = array_map(fn ($colour): string => $colour->toHex(), [$all[0], ...array_slice($all, 2, -1)]);
        $marks = '';
        foreach (Scatter::over($side, array_map(fn (array $size): array => [$size[0], $size[1] * $across * $across], self::SIZES), $chance) as [$x, $y, $radius]) {
            $petal = $petals[$chance->whole(0, count($petals) - 1)];
            $mark = match (true) {
                $radius > 100 => self::stem($chance, $radius, $petal, $leaf, $all[1]->toHex()),
                $radius > 60 => $chance->whole(0, 2) === 0 ? self::sprig($chance, $radius, $leaf) : self::blossom($chance, 0, 0, $radius * 0.72, $petal, $leaf, $all[1]->toHex()),
                $radius > 30 => $chance->whole(0, 1) === 0 ? self::sprig($chance, $radius, $leaf) : self::blossom($chance, 0, 0, $radius * 0.7, $petal, $leaf, $all[1]->toHex()),
                default => sprintf('<circle r="%.1f" fill="%s"/>', $chance->of(4, 8), $chance->whole(0, 1) === 0 ? $petal : $leaf),
            };
            $marks .= Drawing::wrapped(sprintf('<g transform="rotate(%.1f)">%s</g>', $chance->of(0, 360), $mark), $x, $y, $radius * 1.2, $side);
        }

        return Drawing::on($all[1]->toHex(), $marks, $side);
    }

    /** A blossom on a bent stem with a few leaves. */
    private static function stem(Chance $chance, float $radius, string $petal, string $leaf, string $ground): string
    {
        $bow = $chance->of(-0.35, 0.35) * $radius;
        $drawn = sprintf('<path d="M0 %.1fQ%.1f 0 0 %.1f" fill="none" stroke="%s" stroke-width="6" stroke-linecap="round"/>', $radius * 0.95, $bow, -$radius * 0.4, $leaf);
        foreach ([0.62, 0.34, 0.12] as $i => $at) {
            $side = $i % 2 === 0 ? 1 : -1;
            $drawn .= self::leaf($bow * 0.5 * (1 - abs(2 * $at - 1)), $radius * (1.35 * $at - 0.4 + 0.1), $side * $chance->of(35, 65), $radius * $chance->of(0.36, 0.5), $leaf);
        }

        return $drawn.self::blossom($chance, 0, -$radius * 0.5, $radius * 0.42, $petal, $leaf, $ground);
    }

    private static function sprig(Chance $chance, float $radius, string $leaf): string
    {
        $drawn = sprintf('<path d="M0 %1$.1fV%2$.1f" stroke="%3$s" stroke-width="4.5" stroke-linecap="round"/>', $radius * 0.9, -$radius * 0.6, $leaf);
        for ($i = 0; $i < 4; $i++) {
            foreach ([-1, 1] as $side) {
                $drawn .= self::leaf(0, $radius * (0.55 - 0.36 * $i), $side * $chance->of(38, 52), $radius * (0.52 - 0.07 * $i), $leaf);
            }
        }

        return $drawn.self::leaf(0, -$radius * 0.55, 0, $radius * 0.4, $leaf);
    }

    private static function leaf(float $x, float $y, float $turn, float $long, string $fill): string
    {
        return sprintf('<path transform="translate(%.1f %.1f) rotate(%.1f)" d="M0 0C%4$.1f %5$.1f %4$.1f %6$.1f 0 %7$.1fC%8$.1f %6$.1f %8$.1f %5$.1f 0 0Z" fill="%9$s"/>', $x, $y, $turn, $long * 0.34, -$long * 0.25, -$long * 0.75, -$long, -$long * 0.34, $fill);
    }

    private static function blossom(Chance $chance, float $x, float $y, float $radius, string $petal, string $heart, string $ground): string
    {
        $count = $chance->whole(5, 6);
        $drawn = '';
        for ($i = 0; $i < $count; $i++) {
            $wide = $radius * $chance->of(0.4, 0.5);
            $long = $radius * $chance->of(0.92, 1.06);
            $drawn .= sprintf('<path transform="rotate(%.1f)" d="M0 0C%2$.1f %3$.1f %2$.1f %4$.1f %5$.1f %4$.1fQ0 %6$.1f %7$.1f %4$.1fC%8$.1f %4$.1f %8$.1f %3$.1f 0 0Z" fill="%9$s"/>', 360 * $i / $count + $chance->of(-5, 5), $wide, -$long * 0.35, -$long, $wide * 0.25, -$long * 0.9, -$wide * 0.25, -$wide, $petal);
        }

        return sprintf('<g transform="translate(%.1f %.1f)">%s<circle r="%.1f" fill="%s"/><circle r="%.1f" fill="%s"/></g>', $x, $y, $drawn, $radius * 0.24, $ground, $radius * 0.15, $heart);
    }
}
