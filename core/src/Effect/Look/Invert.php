<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Effect\Looks;
use TallCrow\Effect\Values;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Image;

/** Inverts colours: light becomes dark, and each hue its complement. */
final readonly class Invert implements Looks
{
    public static function kind(): string
    {
        return 'invert';
    }

    public static function parameters(): array
    {
        return [];
    }

    public static function from(Values $values): static
    {
        return new self;
    }

    public function reach(): float
    {
        return 0.0;
    }

    public function ppi(): float
    {
        return 1.0;
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        return $ink->band(0, 3)->inverted()->asColours()->withBand($ink->alpha());
    }
}
