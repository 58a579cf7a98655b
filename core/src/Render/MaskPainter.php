<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Effect\Inking\Join;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Mask\ShapeMask;
use TallCrow\Raster\Image;

/** Draws a mask as one band, 255 where the layer is seen. */
final class MaskPainter
{
    /** A feather is the breadth in which a Gaussian edge goes from 2 % to 98 %: four standard deviations, nearly. */
    private const FEATHER_IN_SIGMAS = 4.0;

    /** @param  ?Affine  $toSheet null when the box is on the sheet already */
    public static function paint(ShapeMask $mask, Box $box, ?Affine $toSheet, Frame $frame): Image
    {
        $path = $mask->shape->outline($mask->width * $box->width(), $mask->height * $box->height())
            ->transformed(Affine::shift($box->left + $mask->x * $box->width(), $box->top + $mask->y * $box->height()))
            ->transformed($toSheet ?? Affine::identity());
        $sigma = $mask->feather / self::FEATHER_IN_SIGMAS * $frame->ppi;
        // The blur needs to know what lies beyond the window.
        $margin = (int) ceil($sigma * 3.5);
        $wide = new Frame($frame->ppi, $frame->left - $margin, $frame->top - $margin, $frame->width + 2 * $margin, $frame->height + 2 * $margin);
        $image = Shapes::mask($path, 0, Join::Round, $wide)->blurred($sigma)->crop($margin, $margin, $frame->width, $frame->height);

        return $mask->inverted ? $image->inverted() : $image;
    }
}
