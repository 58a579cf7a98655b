<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** How a garment is seen. */
enum SceneView: string
{
    /** All of it, hanging or lying. */
    case Whole = 'whole';

    /** Folded to a packet: collar and chest. */
    case Folded = 'folded';

    /** The print itself at its own pixels, as the press leaves it on cloth. */
    case Close = 'close';
}
