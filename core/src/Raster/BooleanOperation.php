<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsOperationBoolean.
 *
 * @internal
 */
enum BooleanOperation: int
{
    case And = 0;
    case Or = 1;
    case ShiftLeft = 3;
    case ShiftRight = 4;
}
