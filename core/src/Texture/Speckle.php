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
        $grain = fn (float $sigma, int $salt): Image => Image::grain(self::TILE, $sigma, $seed * 31 + $salt);
        // A blur divides the spread of white noise by about 3.5 sigma: the factors bring all grains to a like strength.
        $fine = $grain(1.3, 1)->stretched(1.3 * 0.8)->plus($grain(2.6, 2)->stretched(2.6));

        return $fine
            ->plus(Image::noise(self::TILE, self::TILE, 300, $seed)->stretched(26))
            ->toMask()
            ->equalised()
            ->settled();
    }
}
