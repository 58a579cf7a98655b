<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Noise;

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
        // Made at half size, since no detail is finer than two pixels.
        $side = intdiv(self::TILE, 2);
        $grain = fn (float $sigma, int $salt): Image => Noise::grain($side, $sigma, $seed * 31 + $salt);
        // A blur divides the standard deviation of white noise by about 3.5 sigma: these factors make both grains equally strong.
        $half = Lookup::fullRange($grain(0.65, 1)->linear(0.65 * 0.8)
            ->plus($grain(1.3, 2)->linear(1.3))
            ->plus(Noise::gradient($side, $side, 150, $seed)->linear(26)));
        $margin = 8;

        return Lookup::equalised(Blur::gaussian($half->tiled($margin, $margin, $side + 2 * $margin, $side + 2 * $margin)
            ->zoomed(2), 1)
            ->crop(2 * $margin, 2 * $margin, self::TILE, self::TILE))
            ->settled();
    }
}
