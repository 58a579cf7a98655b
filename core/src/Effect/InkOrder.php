<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** Where a line of ink reads best among the other lines of its piece (common practice): warps first, then ink, rings, and fills over all. */
enum InkOrder: string
{
    /** Fills the outline as it is: bending changes nothing about it. */
    case Flat = 'flat';

    /** Changes the shape that is inked, or adds to it. */
    case Form = 'form';

    /** Lies about the outline; a warp that comes after it bends it, too. */
    case Ring = 'ring';

    /** Laid over the whole piece: a ring that comes after it cuts it. */
    case Overlay = 'overlay';
}
