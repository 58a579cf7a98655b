<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** How a mask combines with those before it: intersection or union. */
enum Joining: string
{
    case Within = 'within';
    case Also = 'also';
}
