<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Raster\Image;

/** Changes the pixels of a raster before it is placed; the file on the shelf is unchanged. */
interface Retouches extends Effect
{
    /**
     * @param  Image  $ink  the picture after the previous effects
     * @param  float  $perInch  its pixels per inch at print size
     */
    public function retouch(Image $ink, float $perInch): Image;

    /** Whether it has a length in inches, so that it depends on the picture's print size. */
    public function isMeasured(): bool;
}
