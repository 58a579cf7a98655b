<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;

/** A texture with marks across the whole field, which a patchwork would break. */
interface WideTexture extends Texture
{
    /** @param  int  $side  pixels, a multiple of the patch size */
    public static function wide(int $seed, int $side): Image;
}
