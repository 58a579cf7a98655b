<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Look\Dotted;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Image;

/** Lays dots on the pixels of the ink itself, and needs the print's to do so. */
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
}
