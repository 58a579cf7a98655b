<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Rings where water stood and dried: strongest at the edge of a stain, fading inwards. */
final class WaterStain implements Texture
{
    public static function kind(): string
    {
        return 'water-stain';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        $stains = Lookup::bytes(Field::clouds($seed, 1200, 5), array_map(function (int $v): int {
            $in = $v - 140;

            return (int) ($in < 0 ? max(0, 40 + $in * 2) : max(60, 255 - $in * 4));
        }, range(0, 255)));

        return $stains->linearByte(0.75)->plus(Field::grain($seed, 1.2)->linearByte(0.25))->linearByte(1)->settled();
    }
}
