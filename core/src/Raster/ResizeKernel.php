<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsKernel: the filter of a resize.
 *
 * @internal
 */
enum ResizeKernel: int
{
    case Linear = 1;
}
