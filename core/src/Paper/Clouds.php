<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Soft clouds from one colour to the next. */
final class Clouds implements Paper
{
    public static function kind(): string
    {
        return 'clouds';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        return Lookup::tinted(Patchwork::wide(Field::clouds($seed, 800, 6), $seed, $across), $colours->atLeast(2));
    }
}
