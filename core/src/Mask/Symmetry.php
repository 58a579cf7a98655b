<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** The symmetry by which one brush stroke is repeated about the piece's centre. */
enum Symmetry: string
{
    case None = 'none';
    case Mirror = 'mirror';
    case Quadrants = 'quadrants';
    case Radial = 'radial';
}
