<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** How the ends of a stroke are made, as in SVG's stroke-linecap. */
enum Cap: string
{
    case Butt = 'butt';
    case Round = 'round';
    case Square = 'square';
}
