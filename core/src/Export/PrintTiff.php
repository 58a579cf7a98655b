<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Measure\Ppi;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/** Writes a print as TIFF with alpha, its density in inches. */
final class PrintTiff
{
    public static function write(Image $picture, string $path, Ppi $ppi): void
    {
        ImageFile::writeTiff(Composition::withoutHiddenColour($picture), "$path.part", $ppi->value);
        rename("$path.part", $path) || throw PngBroken::unwritable($path);
    }
}
