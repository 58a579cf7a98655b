<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Geometry\Path;

/** Changes the geometry of an outline. */
interface BendsOutline extends Effect
{
    /** @param  float  $tolerance how far, in the outline's units, a chord may stray from the true curve */
    public function bend(Path $path, float $tolerance): Path;
}
