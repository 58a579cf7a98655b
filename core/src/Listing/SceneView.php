<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** How a garment is shown. */
enum SceneView: string
{
    /** The whole garment, hanging or lying. */
    case Whole = 'whole';

    /** Folded, showing collar and chest. */
    case Folded = 'folded';

    /** A close-up of the print at its own resolution, as the press simulation shows it. */
    case Close = 'close';
}
