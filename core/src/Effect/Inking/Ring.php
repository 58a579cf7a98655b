<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

/** One ring of an outline: its own width in inches, beyond what came before it. */
final readonly class Ring
{
    public function __construct(
        public float $width,
        /** null leaves a gap: outside the letters cloth shows there, inside them the fill does. */
        public ?Srgb $colour,
        public Join $join = Join::Round,
        public float $mitreLimit = 3.0,
    ) {}
}
