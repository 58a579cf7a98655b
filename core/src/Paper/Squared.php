<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/** School paper in squares of a fifth of an inch, every fifth line stronger. */
final class Squared implements Paper
{
    public static function kind(): string
    {
        return 'squared';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $ink = $colours->hex(0);
        $unit = '';
        for ($i = 0; $i < 5; $i++) {
            $unit .= sprintf('<rect y="%1$d" width="300" height="%2$d"/><rect x="%1$d" width="%2$d" height="300"/>', $i * 60, $i === 0 ? 6 : 3);
        }

        return Drawing::on($colours->hex(1), Drawing::repeated("<g fill=\"$ink\">$unit</g>", 300, 300));
    }
}
