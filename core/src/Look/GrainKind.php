<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Image;
use TallCrow\Raster\Noise;

/** The edges of a grain's blobs. */
enum GrainKind
{
    /** Like toner, or a torn edge. */
    case Rough;

    /** Like ink that runs. */
    case Smooth;

    /** @param  float  $sigma  in pixels */
    public function tile(int $side, float $sigma, int $seed): Image
    {
        return $this === self::Rough ? Noise::grain($side, $sigma, $seed) : Noise::smooth($side, $sigma, $seed);
    }
}
