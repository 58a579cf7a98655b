<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Raster\Image;

/** Changes the pixels of a raster before it is placed; the file on the shelf stays as it came. */
interface Retouches extends Effect
{
    /**
     * @param  Image  $ink  the picture as it is so far
     * @param  float  $perInch  its pixels to a printed inch
     */
    public function retouch(Image $ink, float $perInch): Image;

    /** Whether it holds a length in inches, so that it depends on the size at which the picture is placed. */
    public function isMeasured(): bool;
}
