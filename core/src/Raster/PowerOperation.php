<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsOperationMath2.
 *
 * @internal
 */
enum PowerOperation: int
{
    case Power = 0;
}
