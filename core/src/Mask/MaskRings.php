<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** What a mask does to what lies about its layer's edges: rings, shadows, a backing. */
enum MaskRings: string
{
    /** It cuts them as it cuts the layer. */
    case Cut = 'cut';

    /** They go around what it leaves of the layer. */
    case Around = 'around';
}
