<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Blur;
use TallCrow\Raster\GuidedFilter;
use TallCrow\Raster\Image;

/** Edge-preserving smoothing of ink, by a guided filter. */
final class Smoothing
{
    /**
     * Smooths the colours; the alpha is unchanged.
     *
     * @param  float  $sigma  size of the neighbourhood, in pixels
     * @param  float  $edge  contrast, in levels, above which something counts as an edge
     * @param  array{int, int}  $at  sheet coordinates of the first pixel
     */
    public static function guided(Image $ink, float $sigma, float $edge, array $at): Image
    {
        $colours = Blur::coloursExtended($ink, $sigma, $at)->band(0, 3)->settled();
        // Twice: the second pass removes the grain that the first one leaves.
        for ($pass = 0; $pass < 2; $pass++) {
            $colours = GuidedFilter::filtered($colours, $sigma, $edge, $at)->settled();
        }

        return $colours->asColours()->withBand($ink->alpha());
    }
}
