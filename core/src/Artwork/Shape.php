<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

enum Shape: string
{
    case Rectangle = 'rectangle';
    case Ellipse = 'ellipse';
    case Polygon = 'polygon';
    case Star = 'star';
    case Ring = 'ring';
    case Line = 'line';
}
