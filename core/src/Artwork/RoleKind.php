<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** The role of a layer. */
enum RoleKind
{
    /** It prints. */
    case Ink;

    /** It clears the ink below and leaves it bare. */
    case Knockout;

    /** It clears the ink below and prints in its own gap. */
    case SetInGap;
}
