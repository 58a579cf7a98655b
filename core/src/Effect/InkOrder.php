<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** The best position of an ink effect among the other effects of its piece (common practice): warps first, then ink, rings, and overlays. */
enum InkOrder: string
{
    /** Fills the outline; the order relative to warps does not matter. */
    case Flat = 'flat';

    /** Changes or extends the inked shape. */
    case Form = 'form';

    /** Lies around the outline; a later warp bends it as well. */
    case Ring = 'ring';

    /** Lies over the whole piece; a later ring cuts it. */
    case Overlay = 'overlay';
}
