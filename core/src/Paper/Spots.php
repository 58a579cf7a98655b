<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/** Round spots in rows set half a step over, as on a scarf. */
final class Spots implements Paper
{
    public static function kind(): string
    {
        return 'spots';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $spot = fn (int $x, int $y): string => "<circle cx=\"$x\" cy=\"$y\" r=\"36\" fill=\"{$colours->hex(0)}\"/>";
        $unit = $spot(50, 50).$spot(150, 150);

        return Drawing::on($colours->hex(1), Drawing::repeated($unit, 200, 200));
    }
}
