<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A look that goes by what lies about a pixel, but inks nothing beyond the ink that there is. */
interface SeesAround extends Looks
{
    /** Inches about a pixel that it needs to know. */
    public function around(): float;
}
