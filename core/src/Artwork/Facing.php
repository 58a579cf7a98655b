<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** The orientation of copies around a centre. */
enum Facing: string
{
    case Turned = 'turned';
    case Mirrored = 'every-second-mirrored';
    case Upright = 'upright';
}
