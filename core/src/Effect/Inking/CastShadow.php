<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

/** A hard shadow of all that is inked, cast by a shift in inches. */
final readonly class CastShadow
{
    public function __construct(
        public float $x,
        public float $y,
        public Srgb $colour,
        /** Swept all the way from the piece, as a solid block is. */
        public bool $solid,
    ) {}
}
