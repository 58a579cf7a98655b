<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * How libvips packs a TIFF (VipsForeignTiffCompression).
 *
 * @internal
 */
enum TiffCompression: int
{
    case Lzw = 5;
}
