<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** What of a picture's file is placed, sized, aligned and measured. */
enum Framing: string
{
    /** Its ink: what lies clear about it does not count. */
    case Ink = 'ink';

    /** The whole file with its margins. */
    case File = 'file';
}
