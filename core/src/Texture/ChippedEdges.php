<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;

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
        return Field::clouds($seed, 96, 3)->scaledBy(0.7)->plus(Field::grain($seed, 2.2)->scaledBy(0.3))->scaledBy(1)->equalised()->settled();
    }
}
