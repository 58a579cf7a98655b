<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/** Changes the geometry of an outline, or of a picture by resampling. */
interface BendsOutline extends Effect
{
    /** @param  Box  $box  about all that is bent, in inches */
    public function bend(Box $box): Bend;

    /** Whether it holds a length in inches, so that it is no longer the same at another size. */
    public function isMeasured(): bool;
}
