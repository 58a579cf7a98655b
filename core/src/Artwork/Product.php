<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

enum Product: string
{
    case Tee = 'tee';
    case Hoodie = 'hoodie';
    case Sweatshirt = 'sweatshirt';
    case Tote = 'tote';
}
