<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsExtend: what lies beyond an image's edge.
 *
 * @internal
 */
enum Extend: int
{
    case Black = 0;
    case Copy = 1;
    case Repeat = 2;
    case Mirror = 3;
    case White = 4;
    case Background = 5;
}
