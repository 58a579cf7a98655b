<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsBlendMode: the Porter-Duff operators that are left to the library.
 *
 * @internal
 */
enum BlendOperation: int
{
    case Over = 2;
    case DestinationOut = 9;
}
