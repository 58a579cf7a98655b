<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Image;
use TallCrow\Raster\Noise;

/** How the blobs of a grain are bounded. */
enum GrainKind
{
    /** As toner, or a torn edge. */
    case Rough;

    /** As ink that runs. */
    case Smooth;

    /** @param  float  $sigma  in pixels */
    public function tile(int $side, float $sigma, int $seed): Image
    {
        return $this === self::Rough ? Noise::grain($side, $sigma, $seed) : Noise::smooth($side, $sigma, $seed);
    }
}
