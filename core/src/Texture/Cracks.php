<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Thin cracks that wander and branch, as in old thick ink: the places where two smooth fields change sign. */
final class Cracks implements Texture
{
    public static function kind(): string
    {
        return 'cracks';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        $ridge = fn (int $cell, int $salt): Image => Lookup::bytes(Field::clouds($seed * 7 + $salt, $cell, 3), array_map(fn (int $v): int => (int) max(0, 255 - 7 * abs($v - 128)), range(0, 255)));

        return $ridge(300, 1)->lighter($ridge(480, 2))->linearByte(0.86)->plus(Field::grain($seed, 1.1)->linearByte(0.14))->linearByte(1)->settled();
    }
}
