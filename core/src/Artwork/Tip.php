<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** The pen or brush of an ink stroke. */
enum Tip: string
{
    case Round = 'round';

    /** A flat nib held at an angle: broad in one direction, thin in the other. */
    case Slash = 'slash';

    /** A dry brush with separated bristles. */
    case Scribble = 'scribble';

    /** Dots scattered around the line. */
    case Spray = 'spray';
}
