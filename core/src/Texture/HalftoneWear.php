<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Grating;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Wear in round dots, larger where more has gone, 25 to the inch. */
final class HalftoneWear implements Texture
{
    public static function kind(): string
    {
        return 'halftone-wear';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        // 200 dots across the tile of 8 inches.
        $dots = Grating::hills(self::TILE, 200)->linearByte(0.5);

        return Lookup::equalised($dots->plus(Field::clouds($seed, 800, 4)->linearByte(0.5))->linearByte(1))->settled();
    }
}
