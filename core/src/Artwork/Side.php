<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

enum Side: string
{
    case Front = 'front';
    case Back = 'back';
}
