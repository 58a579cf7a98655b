<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/** Changes the geometry of an outline, or of a picture by resampling. */
interface BendsOutline extends Effect
{
    /** @param  Box  $box  bounding box of what is bent, in inches */
    public function bend(Box $box): Bend;

    /** Whether it has a length in inches, so that its result depends on the piece's size. */
    public function isMeasured(): bool;
}
