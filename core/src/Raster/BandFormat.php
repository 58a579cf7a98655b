<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsBandFormat: the type of a sample. Integers are unsigned.
 *
 * @internal
 */
enum BandFormat: int
{
    case Byte = 0;
    case Short = 2;
    case Int = 4;
    case Float = 6;
}
