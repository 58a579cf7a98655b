<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Broken rings about darker hearts, as on a big cat. */
final class AnimalSpots implements Paper
{
    public static function kind(): string
    {
        return 'animal-spots';
    }

    public static function tile(int $seed, Colours $colours): Image
    {
        [$ground, $heart, $ring] = [$colours->at(1), $colours->at(0), $colours->at(2)];
        $field = Lookup::equalised(Field::clouds($seed, 240, 2));

        return Lookup::tinted($field, [...array_fill(0, 56, $ground), ...array_fill(0, 22, $ring), ...array_fill(0, 22, $heart)], stepped: true);
    }
}
