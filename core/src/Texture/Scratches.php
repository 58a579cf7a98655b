<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Noise;

/** Thin tapered scratches that run mostly one way, over a faint grain that gives way last. */
final class Scratches implements Texture
{
    private const COUNT = 5200;

    /** Highest level of the grain between the scratches, which is all that is left to take when they are gone or spared. */
    private const GRAIN = 128;

    public static function kind(): string
    {
        return 'scratches';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $paths = '';
        for ($i = 0; $i < self::COUNT; $i++) {
            $level = self::GRAIN + 2 + (int) ((253 - self::GRAIN) * $i / self::COUNT);
            $paths .= self::scratch($random, $level);
        }
        $size = self::TILE;
        $drawn = ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$size\" height=\"$size\"><rect width=\"$size\" height=\"$size\"/>$paths</svg>")->band(0);
        $grain = Lookup::fullRange(Noise::grain($size, 1.6, $seed))->linearByte(self::GRAIN / 255);

        return $drawn->lighter($grain)->settled();
    }

    private static function scratch(\Random\Randomizer $random, int $level): string
    {
        $x = self::TILE * self::share($random);
        $y = self::TILE * self::share($random);
        $long = 40 + 500 * self::share($random) ** 3;
        $angle = deg2rad(-68 + (self::share($random) + self::share($random) - 1) * 34);
        $half = 0.8 + 3.2 * self::share($random) ** 3;
        $bow = (self::share($random) - 0.5) * 0.12 * $long;
        [$ux, $uy] = [cos($angle), sin($angle)];
        $d = sprintf(
            'M0 0Q%.1f %.1f %.1f %.1fQ%.1f %.1f 0 0Z',
            $ux * $long / 2 - $uy * ($bow + $half), $uy * $long / 2 + $ux * ($bow + $half),
            $ux * $long, $uy * $long,
            $ux * $long / 2 - $uy * ($bow - $half), $uy * $long / 2 + $ux * ($bow - $half),
        );
        $copies = '';
        foreach (self::wraps($x, $x + $ux * $long) as $dx) {
            foreach (self::wraps($y, $y + $uy * $long) as $dy) {
                $copies .= sprintf('<path transform="translate(%.1f %.1f)" d="%s" fill="rgb(%d,%d,%d)"/>', $x + $dx, $y + $dy, $d, $level, $level, $level);
            }
        }

        return $copies;
    }

    private static function share(\Random\Randomizer $random): float
    {
        return $random->getInt(0, 1 << 30) / (1 << 30);
    }

    /** @return list<int> the shifts at which a mark that crosses the tile's edge is drawn again */
    private static function wraps(float $from, float $to): array
    {
        $margin = 40;

        return [
            0,
            ...(min($from, $to) < $margin ? [self::TILE] : []),
            ...(max($from, $to) > self::TILE - $margin ? [-self::TILE] : []),
        ];
    }
}
