<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsPrecision: whether a convolution uses integer or floating point arithmetic.
 *
 * @internal
 */
enum Precision: int
{
    case Integer = 0;
    case Float = 1;
}
