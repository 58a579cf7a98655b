<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/**
 * Placeholder for a value that is missing in a file.
 *
 * @internal
 */
enum Missing
{
    case Value;
}
