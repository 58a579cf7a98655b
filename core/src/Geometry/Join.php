<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * The join at an outer corner, as SVG's stroke-linejoin; but a mitre beyond its limit is cut off at a distance of one width, not bevelled through the corner.
 */
enum Join: string
{
    case Round = 'round';
    case Bevel = 'bevel';
    case Mitre = 'mitre';
}
