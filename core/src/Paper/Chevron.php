<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/** Zigzag bands in all the colours in turn. */
final class Chevron implements Paper
{
    public static function kind(): string
    {
        return 'chevron';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $all = $colours->atLeast(2);
        $count = count($all) * max(1, intdiv(24, count($all)));
        $rise = Paper::TILE / $count;
        $marks = '';
        for ($i = -2; $i < $count; $i++) {
            $points = [];
            for ($x = 0; $x <= Paper::TILE; $x += 100) {
                $points[] = [$x, $i * $rise + ($x / 100 % 2 === 0 ? $rise * 2 : 0)];
            }
            $edge = implode(' ', array_map(fn (array $p): string => sprintf('%.3f,%.3f', $p[0], $p[1]), $points));
            $back = implode(' ', array_map(fn (array $p): string => sprintf('%.3f,%.3f', $p[0], $p[1] + $rise + 0.05), array_reverse($points)));
            $marks .= sprintf('<polygon points="%s %s" fill="%s"/>', $edge, $back, $all[($i + 2 * count($all)) % count($all)]->toHex());
        }

        return Drawing::on($colours->hex(0), $marks);
    }
}
