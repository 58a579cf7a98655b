<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A look that depends on a pixel's neighbourhood, but adds no ink beyond the existing ink. */
interface SeesAround extends Looks
{
    /** Radius of that neighbourhood in inches. */
    public function around(): float;
}
