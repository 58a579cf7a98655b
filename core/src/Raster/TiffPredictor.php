<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsForeignTiffPredictor.
 *
 * @internal
 */
enum TiffPredictor: int
{
    case Horizontal = 2;
}
