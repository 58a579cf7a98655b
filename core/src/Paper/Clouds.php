<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Soft clouds from one colour to the next. */
final class Clouds implements Paper
{
    public static function kind(): string
    {
        return 'clouds';
    }

    public static function tile(int $seed, Colours $colours): Image
    {
        return Lookup::tinted(Field::clouds($seed, 800, 6), $colours->atLeast(2));
    }
}
