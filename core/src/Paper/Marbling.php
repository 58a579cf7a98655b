<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Veins of ink along the contour lines of a noise field. */
final class Marbling implements Paper
{
    public static function kind(): string
    {
        return 'marbling';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $all = $colours->atLeast(2);

        return Lookup::tinted(Patchwork::even(Field::swells($seed, 800, 3), $seed, $across), array_merge(...array_fill(0, 6, [...$all, ...array_reverse($all)])));
    }
}
