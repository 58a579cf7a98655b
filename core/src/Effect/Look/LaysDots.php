<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Look\Dotted;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Image;

/** Implements look() for effects that draw dots, on a grid of the print's resolution. */
trait LaysDots
{
    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        return Dotted::printed($this->dots($ink, $grid), $ink);
    }

    public function ppi(): float
    {
        return self::PRINT;
    }

    public function glancedPpi(): float
    {
        return self::PRINT;
    }
}
