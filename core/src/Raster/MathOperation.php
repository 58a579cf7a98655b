<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsOperationMath: sine and cosine take degrees.
 *
 * @internal
 */
enum MathOperation: int
{
    case Sine = 0;
    case Cosine = 1;
}
