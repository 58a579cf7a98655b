<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;

/** Thin tapered scratches that run mostly one way, over a faint grain that gives way last. */
final class Scratches implements Texture
{
    private const COUNT = 2600;

    public static function kind(): string
    {
        return 'scratches';
    }

    public static function field(int $seed): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $paths = '';
        for ($i = 0; $i < self::COUNT; $i++) {
            $level = 60 + (int) (195 * $i / self::COUNT);
            $paths .= self::scratch($random, $level);
        }
        $size = self::TILE;
        $drawn = Image::svg("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$size\" height=\"$size\"><rect width=\"$size\" height=\"$size\"/>$paths</svg>")->band(0);
        $grain = Image::noise($size, $size, 8, $seed)->toMask()->scaledBy(58 / 255);

        return $drawn->lighter($grain)->settled();
    }

    private static function scratch(\Random\Randomizer $random, int $level): string
    {
        $x = $random->getFloat(0, self::TILE);
        $y = $random->getFloat(0, self::TILE);
        $long = 40 + 500 * $random->getFloat(0, 1) ** 3;
        $angle = deg2rad(-68 + ($random->getFloat(0, 1) + $random->getFloat(0, 1) - 1) * 34);
        $half = 0.8 + 3.2 * $random->getFloat(0, 1) ** 3;
        $bow = $random->getFloat(-0.06, 0.06) * $long;
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

    /** @return list<int> the shifts at which a piece that crosses the tile's edge is drawn again */
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
