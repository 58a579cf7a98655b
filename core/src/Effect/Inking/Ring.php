<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Join;

/** One ring around an outline; its width in inches counts from the ring before it. */
final readonly class Ring
{
    public function __construct(
        public float $width,
        /** Null is a gap: outside the letters it shows cloth, inside them the fill. */
        public ?Srgb $colour,
        public Join $join = Join::Round,
        public float $mitreLimit = 3.0,
        /** Whether it follows the outermost outline only, so that counters and areas enclosed between letters stay free. */
        public bool $silhouette = false,
        /** Holes and islands into which no disc of this diameter (inches) fits are dropped. */
        public float $crumbs = 0.012,
    ) {}
}
