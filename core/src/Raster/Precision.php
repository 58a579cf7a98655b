<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsPrecision: whether a convolution is worked in whole numbers.
 *
 * @internal
 */
enum Precision: int
{
    case Integer = 0;
    case Float = 1;
}
