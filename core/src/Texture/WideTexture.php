<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;

/** A texture with marks that run across all of it, which patches would break. */
interface WideTexture extends Texture
{
    /** @param  int  $side  in pixels; a whole number of patches */
    public static function wide(int $seed, int $side): Image;
}
