<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** The wear of a copy of a copy: dust, streaks from the drum, and patches of thin toner. */
final class Photocopy implements Texture
{
    public static function kind(): string
    {
        return 'photocopy';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        $dust = Field::grain($seed, 0.9)->linearByte(0.45);
        $streaks = Field::threads($seed + 3, 2, 2400)->linearByte(0.2);
        $patches = Field::clouds($seed + 5, 600, 5)->linearByte(0.35);

        return Lookup::equalised($dust->plus($streaks)->plus($patches)->linearByte(1))->settled();
    }
}
