<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * VipsInterpretation: what the bands stand for.
 *
 * @internal
 */
enum Interpretation: int
{
    case None = 0;
    case Lab = 13;
    case Srgb = 22;
    case ScRgb = 28;
}
