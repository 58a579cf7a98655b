<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** What of the letters a size in inches is told of; the ink's width and height follow from it. */
enum LetterSize: string
{
    /** From the baseline to the top of a plain capital. */
    case Capitals = 'capitals';

    /** The type size: one em. */
    case Em = 'em';
}
