<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** What a stroke of ink is drawn with. */
enum Tip: string
{
    case Round = 'round';

    /** A flat nib held at a slant: broad one way, thin the other. */
    case Slash = 'slash';

    /** A dry brush whose bristles part. */
    case Scribble = 'scribble';

    /** Dots strewn about the line. */
    case Spray = 'spray';
}
