<?php

declare(strict_types=1);

namespace TallCrow\Mask;

use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;

enum MaskShape: string
{
    case Rectangle = 'rectangle';
    case Ellipse = 'ellipse';

    public function outline(float $width, float $height): Path
    {
        return $this === self::Ellipse ? Outline::ellipse($width, $height) : Outline::rectangle($width, $height);
    }
}
