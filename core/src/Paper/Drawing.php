<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/**
 * Papers that are drawn: marks on a ground, painted as an SVG page of the tile's size.
 *
 * @internal
 */
final class Drawing
{
    public static function on(string $ground, string $marks): Image
    {
        $side = Paper::TILE;

        return ImageFile::drawing("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$side\" height=\"$side\"><rect width=\"$side\" height=\"$side\" fill=\"$ground\"/>$marks</svg>")->band(0, 3)->settled();
    }

    /** Marks of one unit, again and again across the tile. */
    public static function repeated(string $unit, int $width, int $height): string
    {
        $side = Paper::TILE;

        return "<pattern id=\"u\" width=\"$width\" height=\"$height\" patternUnits=\"userSpaceOnUse\">$unit</pattern><rect width=\"$side\" height=\"$side\" fill=\"url(#u)\"/>";
    }
}
