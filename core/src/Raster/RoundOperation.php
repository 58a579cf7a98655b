<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsOperationRound.
 *
 * @internal
 */
enum RoundOperation: int
{
    case Nearest = 0;
}
