<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsIntent: the rendering intent for colours outside the target gamut.
 *
 * @internal
 */
enum Intent: int
{
    case Perceptual = 0;
    case Relative = 1;
}
