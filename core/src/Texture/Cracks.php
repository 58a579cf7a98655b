<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Geometry\Cells;
use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Lookup;

/**
 * The net of fine cracks in old thick ink: Voronoi cells as in drying mud, large ones first, then smaller ones within them. Each side of a cell wanders a
 * little, is widest in its middle, and opens at a level of its own.
 */
final class Cracks implements Texture
{
    /** For each net: cells across the tile, greatest width of a side in pixels, and the range of levels at which sides open. */
    private const NETS = [[13, 6.5, 150, 255], [34, 4.4, 70, 170], [52, 3.6, 25, 90]];

    public static function kind(): string
    {
        return 'cracks';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $sides = [];
        foreach (self::NETS as [$across, $thick, $from, $to]) {
            $cell = self::TILE / $across;
            $points = [];
            for ($i = 0; $i < $across * $across; $i++) {
                $points[] = [($i % $across + self::share($random)) * $cell, (intdiv($i, $across) + self::share($random)) * $cell];
            }
            foreach (Cells::sides($points, self::TILE) as $side) {
                $own = self::own($seed, $side);
                $level = (int) ($from + ($to - $from) * self::share($own) ** 1.5);
                $sides[] = [$level, self::side($own, $side, $thick * (0.7 + 0.3 * self::share($own)), $level)];
            }
        }
        // Draw those that open first last, on top.
        usort($sides, fn (array $one, array $other): int => $one[0] <=> $other[0]);
        $size = self::TILE;
        $drawn = ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$size\" height=\"$size\"><rect width=\"$size\" height=\"$size\"/>".implode('', array_column($sides, 1)).'</svg>')->band(0);

        // Cracks occupy few levels: equalise the histogram so that the ink between them gets levels, too.
        return Lookup::equalised($drawn->isMore(0.5)->chosen($drawn->linearByte(0.56, 112), $drawn)->linear(1)->linearByte(1)->lighter(Field::grain($seed, 1.6)->linearByte(0.42)))->settled();
    }

    /**
     * A random generator for one side; its copy at the opposite edge of the tile gets the same.
     *
     * @param  array{float, float, float, float}  $side
     */
    private static function own(int $seed, array $side): \Random\Randomizer
    {
        $middle = fn (float $from, float $to): int => (int) round(fmod(($from + $to) / 2 + self::TILE, self::TILE));

        return new \Random\Randomizer(new \Random\Engine\Mt19937(crc32(sprintf('%d %d %d', $seed, $middle($side[0], $side[2]), $middle($side[1], $side[3])))));
    }

    /** @param  array{float, float, float, float}  $side  from one end to the other */
    private static function side(\Random\Randomizer $random, array $side, float $thick, int $level): string
    {
        [$x, $y, $toX, $toY] = $side;
        $long = max(1e-6, hypot($toX - $x, $toY - $y));
        [$ux, $uy] = [($toX - $x) / $long, ($toY - $y) / $long];
        $steps = max(2, min(7, (int) ($long / 16)));
        [$left, $right] = [[], []];
        for ($i = 0; $i <= $steps; $i++) {
            $at = $i / $steps;
            $off = $i === 0 || $i === $steps ? 0.0 : (self::share($random) - 0.5) * min(14.0, 0.3 * $long);
            // A little narrower at its ends, where other sides meet it.
            $half = $thick / 2 * (0.55 + 0.45 * sin(M_PI * $at));
            [$px, $py] = [$x + $ux * $long * $at - $uy * $off, $y + $uy * $long * $at + $ux * $off];
            $left[] = sprintf('%.1f %.1f', $px - $uy * $half, $py + $ux * $half);
            array_unshift($right, sprintf('%.1f %.1f', $px + $uy * $half, $py - $ux * $half));
        }

        return sprintf('<path d="M%s" fill="rgb(%2$d,%2$d,%2$d)"/>', implode('L', [...$left, ...$right]).'Z', $level);
    }

    private static function share(\Random\Randomizer $random): float
    {
        return $random->getInt(0, 1 << 30) / (1 << 30);
    }
}
