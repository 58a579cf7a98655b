<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * In what a TIFF tells its density (VipsForeignTiffResunit).
 *
 * @internal
 */
enum TiffUnit: int
{
    case Inch = 1;
}
