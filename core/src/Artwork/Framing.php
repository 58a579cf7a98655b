<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** Which box of a picture is placed, sized, aligned and measured. */
enum Framing: string
{
    /** The box of its ink, without transparent margins. */
    case Ink = 'ink';

    /** The whole file with its margins. */
    case File = 'file';
}
