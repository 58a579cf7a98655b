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

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        // Drawn at half size: nothing in it is finer than two pixels.
        $side = intdiv(self::TILE, 2);
        $grain = fn (float $sigma, int $salt): Image => Image::grain($side, $sigma, $seed * 31 + $salt);
        // A blur divides the spread of white noise by about 3.5 sigma: the factors bring both grains to a like strength.
        $half = $grain(0.65, 1)->stretched(0.65 * 0.8)
            ->plus($grain(1.3, 2)->stretched(1.3))
            ->plus(Image::noise($side, $side, 150, $seed)->stretched(26))
            ->toMask();
        $margin = 8;

        return $half->tiled($margin, $margin, $side + 2 * $margin, $side + 2 * $margin)
            ->doubled()
            ->blurred(1)
            ->crop(2 * $margin, 2 * $margin, self::TILE, self::TILE)
            ->equalised()
            ->settled();
    }
}
