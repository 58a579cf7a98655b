<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** A wash that pools and dries unevenly, with the grain of the paper in it. */
final class Watercolour implements Paper
{
    public static function kind(): string
    {
        return 'watercolour';
    }

    public static function tile(int $seed, Colours $colours): Image
    {
        $wash = Field::clouds($seed, 1200, 5);
        $grain = Field::grain($seed + 5, 1.4)->linearByte(0.10, 102)->plus($wash->linearByte(0.88))->linearByte(1, -100);

        return Lookup::tinted($grain, [$colours->at(1), $colours->at(1)->mixed($colours->at(0), 0.35), $colours->at(0), $colours->at(2)->mixed($colours->at(0), 0.6)]);
    }
}
