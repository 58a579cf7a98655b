<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Ink that flakes off from its edges inwards; the field is what breaks up the flakes. */
final class ChippedEdges implements Texture
{
    public static function kind(): string
    {
        return 'chipped-edges';
    }

    public static function followsEdges(): bool
    {
        return true;
    }

    public static function field(int $seed): Image
    {
        return Lookup::equalised(Field::clouds($seed, 96, 3)->linearByte(0.7)->plus(Field::grain($seed, 2.2)->linearByte(0.3))->linearByte(1))->settled();
    }
}
