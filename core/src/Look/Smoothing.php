<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Blur;
use TallCrow\Raster\GuidedFilter;
use TallCrow\Raster\Image;

/** Smooths what is flat and keeps what is an edge: colours guided by themselves. */
final class Smoothing
{
    /**
     * Colours of ink, its alpha as it was.
     *
     * @param  float  $sigma  breadth of what is smoothed, in pixels
     * @param  float  $edge  levels of contrast from which on something is an edge
     * @param  array{int, int}  $at  what the first pixel counts as
     */
    public static function guided(Image $ink, float $sigma, float $edge, array $at): Image
    {
        $colours = Blur::coloursExtended($ink, $sigma, $at)->band(0, 3)->settled();
        // Twice: what the first leaves of grain the second takes.
        for ($pass = 0; $pass < 2; $pass++) {
            $colours = GuidedFilter::filtered($colours, $sigma, $edge, $at)->settled();
        }

        return $colours->asColours()->withBand($ink->alpha());
    }
}
