<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** How copies about a centre face. */
enum Facing: string
{
    case Turned = 'turned';
    case Mirrored = 'every-second-mirrored';
    case Upright = 'upright';
}
