<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/** School paper, ruled a third of an inch apart with a margin line. */
final class Ruled implements Paper
{
    public static function kind(): string
    {
        return 'ruled';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $side = self::TILE;
        $lines = Drawing::repeated("<rect y=\"96\" width=\"100\" height=\"4\" fill=\"{$colours->hex(0)}\"/>", 100, 100);

        return Drawing::on($colours->hex(1), "$lines<rect x=\"300\" width=\"6\" height=\"$side\" fill=\"{$colours->hex(2)}\"/>");
    }
}
