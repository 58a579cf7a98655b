<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;

/** Fine specks of 0.01 to 0.06 in, denser in some regions than in others. */
final class Speckle implements Texture
{
    public static function kind(): string
    {
        return 'speckle';
    }

    public static function field(int $seed): Image
    {
        $noise = fn (int $cell, int $salt): Image => Image::noise(self::TILE, self::TILE, $cell, $seed * 31 + $salt);

        return $noise(6, 1)->stretched(0.7)
            ->plus($noise(12, 2)->stretched(1.0))
            ->plus($noise(300, 3)->stretched(0.45))
            ->toMask()
            ->equalised()
            ->settled();
    }
}
