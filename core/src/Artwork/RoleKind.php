<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** What a layer does on the sheet. */
enum RoleKind
{
    /** It prints. */
    case Ink;

    /** It takes away the ink of what lies below and leaves the gap bare. */
    case Knockout;

    /** It takes away the ink of what lies below and prints in its own gap. */
    case SetInGap;
}
