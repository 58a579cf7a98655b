<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** Which measure of the letters a size in inches refers to; the ink's width and height follow from it. */
enum LetterSize: string
{
    /** Cap height: from the baseline to the top of a flat capital. */
    case Capitals = 'capitals';

    /** The type size: one em. */
    case Em = 'em';
}
