<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/**
 * Stands for a value that a file should hold and does not.
 *
 * @internal
 */
enum Missing
{
    case Value;
}
