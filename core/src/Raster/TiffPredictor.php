<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * What libvips predicts a TIFF's samples from (VipsForeignTiffPredictor).
 *
 * @internal
 */
enum TiffPredictor: int
{
    case Horizontal = 2;
}
