<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** How the outside of a corner is made, as in SVG's stroke-linejoin; but a mitre beyond its limit is cut square at one width, not through the corner. */
enum Join: string
{
    case Round = 'round';
    case Bevel = 'bevel';
    case Mitre = 'mitre';
}
