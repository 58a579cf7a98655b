<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/**
 * A patterned paper, made from a number and some colours and free of any licence. Its tile is three bands, TILE pixels
 * square, and meets itself at the edges; at a scale of 1 it is 8 inches wide.
 */
interface Paper
{
    public const TILE = 2400;

    public const PPI = 300;

    public static function kind(): string;

    public static function tile(int $seed, Colours $colours): Image;
}
