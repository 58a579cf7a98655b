<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsForeignTiffCompression.
 *
 * @internal
 */
enum TiffCompression: int
{
    case Lzw = 5;
}
