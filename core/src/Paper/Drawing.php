<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/**
 * Helpers for drawn papers: marks on a ground, rendered from an SVG of the tile's size.
 *
 * @internal
 */
final class Drawing
{
    public static function on(string $ground, string $marks, int $side = Paper::TILE): Image
    {
        return ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$side\" height=\"$side\"><rect width=\"$side\" height=\"$side\" fill=\"$ground\"/>$marks</svg>")->band(0, 3)->settled();
    }

    /** A mark, repeated at the opposite side if it crosses the tile's edge, so that the tile has no seam. */
    public static function wrapped(string $mark, float $x, float $y, float $reach, int $side): string
    {
        $copies = '';
        foreach ([-$side, 0, $side] as $dx) {
            foreach ([-$side, 0, $side] as $dy) {
                if (abs($x + $dx - $side / 2) < $side / 2 + $reach && abs($y + $dy - $side / 2) < $side / 2 + $reach) {
                    $copies .= sprintf('<g transform="translate(%.1f %.1f)">%s</g>', $x + $dx, $y + $dy, $mark);
                }
            }
        }

        return $copies;
    }

    /** Repeats one unit across the tile. */
    public static function repeated(string $unit, int $width, int $height): string
    {
        $side = Paper::TILE;

        return "<pattern id=\"u\" width=\"$width\" height=\"$height\" patternUnits=\"userSpaceOnUse\">$unit</pattern><rect width=\"$side\" height=\"$side\" fill=\"url(#u)\"/>";
    }
}
