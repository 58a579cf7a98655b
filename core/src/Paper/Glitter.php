<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Flakes of a few hundredths of an inch, some of them catching the light. */
final class Glitter implements Paper
{
    public static function kind(): string
    {
        return 'glitter';
    }

    public static function tile(int $seed, Colours $colours): Image
    {
        [$flake, $dark, $light] = [$colours->at(0), $colours->at(0)->mixed($colours->at(2), 0.55), $colours->at(0)->mixed($colours->at(1), 0.75)];

        return Lookup::tinted(Field::grain($seed, 1.5), [
            ...array_fill(0, 5, $dark), ...array_fill(0, 5, $flake), ...array_fill(0, 3, $flake->mixed($light, 0.5)), $light, $colours->at(1),
        ], stepped: true);
    }
}
