<?php

declare(strict_types=1);

namespace TallCrow\Measure;

enum Unit: string
{
    /** Exact by definition (international inch, 1959). */
    public const MILLIMETRES_PER_INCH = 25.4;

    case Inch = 'in';
    case Millimetre = 'mm';
    case Pixel = 'px';
}
