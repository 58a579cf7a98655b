<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** How one stroke of a brush is made several at once, about the middle of the piece. */
enum Symmetry: string
{
    case None = 'none';
    case Mirror = 'mirror';
    case Quadrants = 'quadrants';
    case Radial = 'radial';
}
