<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

enum RepeatKind: string
{
    case MirrorAcross = 'mirror-across';
    case MirrorDown = 'mirror-down';
    case Quadrants = 'quadrants';
    case Radial = 'radial';
    case Stack = 'stack';
}
