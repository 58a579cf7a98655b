<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsIntent: how colours that the other space lacks are brought in.
 *
 * @internal
 */
enum Intent: int
{
    case Perceptual = 0;
    case Relative = 1;
}
