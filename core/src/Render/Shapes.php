<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;

/** Outlines as masks and as ink of one colour. Paths are in inches on the sheet. */
final class Shapes
{
    /** The coverage of an outline: one band. */
    public static function mask(Path $path, Frame $frame): Image
    {
        return self::drawn($path, Srgb::of(255, 255, 255), $frame)->mask();
    }

    public static function ink(Path $path, Srgb $colour, Frame $frame): Image
    {
        return self::drawn($path, $colour, $frame)->ink();
    }

    private static function drawn(Path $path, Srgb $colour, Frame $frame): Canvas
    {
        $canvas = new Canvas($frame->width, $frame->height, $frame->fromInches());
        $canvas->colour($colour);
        $canvas->fill($path);

        return $canvas;
    }
}
