<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Raster\Image;

/** Changes the ink of a piece as a whole, once it is filled and ringed; worked at print resolution and averaged down for proofs. */
interface Looks extends Effect
{
    /**
     * @param  Image  $ink  of the piece
     * @param  float  $ppi  of the picture
     * @param  array{int, int}  $at  pixels of the sheet at which its corner lies, so that screens and grain stay in place
     */
    public function look(Image $ink, float $ppi, array $at): Image;

    /** Inches beyond the ink that it may reach or needs to know. */
    public function reach(): float;
}
