<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;

/** Quick slashes of a flat brush, each of many bristles that run dry towards its end. */
final class BrushSlashes implements Paper
{
    /** Slashes in a patch, and bristles in a slash. */
    private const COUNT = 16;

    private const BRISTLES = 26;

    public static function kind(): string
    {
        return 'brush-slashes';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $chance = Chance::seeded($seed);
        $side = $across * Patchwork::PATCH;
        $all = $colours->atLeast(2);
        $inks = array_map(fn ($colour): string => $colour->toHex(), [$all[0], ...array_slice($all, 2)]);
        // A jittered grid: no bare spots and no clusters.
        $rows = (int) ceil(sqrt(self::COUNT) * $across);
        $step = $side / $rows;
        $places = [];
        for ($i = 0; $i < $rows * $rows; $i++) {
            $places[] = [$chance->whole(0, 1 << 30), ($i % $rows + $chance->of(0, 1)) * $step, (intdiv($i, $rows) + $chance->of(0, 1)) * $step];
        }
        sort($places);
        $marks = '';
        foreach ($places as $i => [, $x, $y]) {
            $long = $chance->of(420, 900);
            $slash = sprintf('<g transform="rotate(%.1f)" fill="%s">%s</g>', -32 + $chance->of(-11, 11) + ($chance->whole(0, 5) === 0 ? 180 : 0), $inks[$i % count($inks)], self::slash($chance, $long));
            $marks .= Drawing::wrapped($slash, $x, $y, $long, $side);
        }

        return Drawing::on($all[1]->toHex(), $marks, $side);
    }

    /** One slash along the x axis, centred on the origin. */
    private static function slash(Chance $chance, float $long): string
    {
        $broad = $chance->of(90, 190);
        $bow = $chance->of(-0.09, 0.09) * $long;
        $bristle = $broad / self::BRISTLES;
        $drawn = '';
        for ($i = 0; $i < self::BRISTLES; $i++) {
            $y = ($i + 0.5) * $bristle - $broad / 2;
            // Wet at the start: all bristles paint. Later some lift off, sooner at the rim, and touch down once more.
            $rim = abs(2 * ($i + 0.5) / self::BRISTLES - 1);
            $at = -$long / 2 + $chance->of(0, 0.05) * $long + 0.06 * $long * $rim ** 3;
            $end = $at + $long * $chance->of(0.5, 0.95 - 0.2 * $rim ** 2);
            while ($at < $end) {
                $drawn .= self::bristle($at, $end, $y, $bristle * $chance->of(0.52, 0.78), $bow, $long);
                $at = $end + $long * $chance->of(0.02, 0.08);
                $end = $chance->of(0, 1) < 0.55 ? min($long / 2, $at + $long * $chance->of(0.05, 0.2)) : $at;
            }
        }

        return $drawn;
    }

    private static function bristle(float $from, float $to, float $y, float $half, float $bow, float $long): string
    {
        $bend = fn (float $x): float => $bow * (1 - (2 * $x / $long) ** 2);
        $points = '';
        $back = '';
        for ($i = 0; $i <= 6; $i++) {
            $x = $from + ($to - $from) * $i / 6;
            $thick = $half * min(1.0, 3.2 * (1 - $i / 6) + 0.05) * ($i === 0 ? 0.6 : 1.0);
            $points .= sprintf('L%.1f %.1f', $x, $y + $bend($x) - $thick);
            $back = sprintf('L%.1f %.1f', $x, $y + $bend($x) + $thick).$back;
        }

        return '<path d="M'.substr($points, 1).$back.'Z"/>';
    }
}
