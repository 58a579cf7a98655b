<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Inking\Join;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Image;
use TallCrow\Type\Letter;

/** Outlines as masks and as ink of one colour. Paths are in inches on the sheet. */
final class Shapes
{
    /** Where an outline is, widened on all sides by a gap: one band. */
    public static function mask(Path $path, float $gap, Join $join, Frame $frame): Image
    {
        $marks = new Marks([Letter::figure($path)], $frame);
        $marks->grown($gap, Srgb::of(255, 255, 255), $join);

        return $marks->mask();
    }

    public static function ink(Path $path, Srgb $colour, Frame $frame): Image
    {
        $marks = new Marks([Letter::figure($path)], $frame);
        $marks->grown(0.0, $colour);

        return $marks->ink();
    }
}
