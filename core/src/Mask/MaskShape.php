<?php

declare(strict_types=1);

namespace TallCrow\Mask;

use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;

enum MaskShape: string
{
    case Rectangle = 'rectangle';
    case Ellipse = 'ellipse';
    case Polygon = 'polygon';
    case Star = 'star';

    /** @param  int  $count  corners of a polygon, points of a star */
    public function outline(float $width, float $height, int $count): Path
    {
        return match ($this) {
            self::Rectangle => Outline::rectangle($width, $height),
            self::Ellipse => Outline::ellipse($width, $height),
            self::Polygon => Outline::polygon($count, $width, $height),
            self::Star => Outline::star($count, 0.45, $width, $height),
        };
    }
}
