<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsFailOn: at what a reader gives up.
 *
 * @internal
 */
enum FailOn: int
{
    case None = 0;
    case Truncated = 1;
}
