<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsAngle.
 *
 * @internal
 */
enum RightAngle: int
{
    case None = 0;
    case Quarter = 1;
}
