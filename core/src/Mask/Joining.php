<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** Whether a mask narrows what those before it let through, or adds to it. */
enum Joining: string
{
    case Within = 'within';
    case Also = 'also';
}
