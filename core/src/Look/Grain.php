<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Noise;

/** Seeded grain over a piece that stays where it is on the sheet. */
final class Grain
{
    private const SIDE = 1024;

    /**
     * Blobs of about four sigma, every level as common as any other: one 8-bit band as large as the ink.
     *
     * @param  float  $sigma  pixels
     * @param  array{int, int}  $at
     */
    public static function over(Image $ink, float $sigma, float $ppi, int $seed, array $at): Image
    {
        return Lookup::equalised(Lookup::fullRange(Noise::grain(self::SIDE, max(0.4, $sigma), $seed)))->settled()->tiled(-$at[0], -$at[1], $ink->width(), $ink->height());
    }
}
