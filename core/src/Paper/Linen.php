<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Woven threads of varying thickness. */
final class Linen implements Paper
{
    public static function kind(): string
    {
        return 'linen';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $warp = Field::threads($seed, 2, 2400);
        $weft = Field::threads($seed + 1, 2400, 2);

        $cloth = $warp->linearByte(0.5)->plus($weft->linearByte(0.5))->linearByte(1)->settled();

        return Lookup::tinted(Patchwork::wide($cloth, $seed, $across), [$colours->at(0)->mixed($colours->at(1), 0.25), $colours->at(0), $colours->at(0)->mixed($colours->at(1), 0.5), $colours->at(1)]);
    }
}
