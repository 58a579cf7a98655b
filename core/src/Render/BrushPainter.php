<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Mask\Stroke;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;

/** Draws strokes of a brush, from their points, at any ppi. */
final class BrushPainter
{
    /**
     * Gaussian sigma of a soft edge, as a share of the brush's width × (1 − hardness): from 2 % to 98 % an edge spans about four sigmas, half of the soft
     * part.
     */
    private const SOFT = 0.125;

    /**
     * Applies strokes to a mask in order: erasing strokes clear it, restoring strokes fill it again.
     *
     * @param  list<Stroke>  $strokes
     * @param  Box  $box  the box that the strokes' points (0 to 1) refer to
     * @param  ?Affine  $toSheet  null when the box is on the sheet already
     */
    public static function over(Image $mask, array $strokes, Box $box, ?Affine $toSheet, Frame $frame): Image
    {
        foreach ($strokes as $stroke) {
            $touched = self::touched($stroke, $box, $toSheet ?? Affine::identity(), $frame);
            if ($touched === null) {
                continue;
            }
            $window = $touched->frame;
            [$left, $top] = [$window->left - $frame->left, $window->top - $frame->top];
            $here = $mask->crop($left, $top, $window->width, $window->height);
            $mask = $mask->insert($stroke->restores ? $here->lighter($touched->image) : $here->times($touched->image->inverted()), $left, $top);
        }

        return $mask;
    }

    /** The coverage of one stroke in a window about it; null when it does not touch the frame. */
    private static function touched(Stroke $stroke, Box $box, Affine $toSheet, Frame $frame): ?Piece
    {
        $lines = [];
        $around = null;
        foreach ($stroke->points === [] ? [] : $stroke->lines($box->height() / max(1e-9, $box->width())) as $points) {
            $line = array_map(fn (array $p): array => $toSheet->apply($box->left + $p[0] * $box->width(), $box->top + $p[1] * $box->height()), $points);
            if ($line !== []) {
                $own = new Box(min(array_column($line, 0)), min(array_column($line, 1)), max(array_column($line, 0)), max(array_column($line, 1)));
                $around = $around === null ? $own : $around->union($own);
                $lines[] = $line;
            }
        }
        $window = $around === null ? null : $frame->within($around->grown($stroke->width * 1.2 + 2 / $frame->ppi));
        if ($window === null) {
            return null;
        }
        $sigma = $stroke->width * (1 - $stroke->hardness) * self::SOFT * $frame->ppi;
        // The blur reads pixels beyond the window.
        $margin = Blur::margin($sigma);
        $wide = $window->grown($margin);
        $canvas = new Canvas($wide->width, $wide->height, $wide->fromInches());
        $canvas->colour(Srgb::of(255, 255, 255));
        foreach ($lines as $line) {
            $canvas->brushed($line, $stroke->width * (1 + $stroke->hardness) / 2);
        }

        return new Piece(Blur::wide($canvas->mask(), $sigma, [$wide->left, $wide->top])->crop($margin, $margin, $window->width, $window->height)->settled(), $window);
    }
}
