<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsOperationRelational.
 *
 * @internal
 */
enum Relation: int
{
    case Equal = 0;
    case Less = 2;
    case More = 4;
}
