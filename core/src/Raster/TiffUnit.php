<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsForeignTiffResunit: the unit of a TIFF's resolution.
 *
 * @internal
 */
enum TiffUnit: int
{
    case Inch = 1;
}
