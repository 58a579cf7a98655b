<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Geometry\Cells;
use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Lookup;

/**
 * The net of fine cracks of old thick ink: cells that lie about one another, as mud dries (Voronoi), large ones torn first and small ones within
 * them after. Each side of a cell wanders a little, is thickest in its middle, and opens at a time of its own.
 */
final class Cracks implements Texture
{
    /** Cells across the tile, how thick their sides are at most in pixels, and between which levels they open. */
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
        // What opens first lies on top.
        usort($sides, fn (array $one, array $other): int => $one[0] <=> $other[0]);
        $size = self::TILE;
        $drawn = ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$size\" height=\"$size\"><rect width=\"$size\" height=\"$size\"/>".implode('', array_column($sides, 1)).'</svg>')->band(0);

        // Of cracks alone few levels are left to the ink between them: all are spread out again.
        return Lookup::equalised($drawn->isMore(0.5)->chosen($drawn->linearByte(0.56, 112), $drawn)->linear(1)->linearByte(1)->lighter(Field::grain($seed, 1.6)->linearByte(0.42)))->settled();
    }

    /**
     * Chance of a side's own, the same for its copy at the other edge of the tile.
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
            // Open all along, a little less at its ends, where others meet it.
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
