<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/** Checks of half an inch: half-transparent bars that overlap. */
final class Gingham implements Paper
{
    public static function kind(): string
    {
        return 'gingham';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $ink = $colours->hex(0);
        $unit = "<g fill=\"$ink\" fill-opacity=\"0.5\"><rect width=\"75\" height=\"150\"/><rect width=\"150\" height=\"75\"/></g>";

        return Drawing::on($colours->hex(1), Drawing::repeated($unit, 150, 150));
    }
}
