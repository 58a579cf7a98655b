<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Join;

/** One ring of an outline: its own width in inches, beyond what came before it. */
final readonly class Ring
{
    public function __construct(
        public float $width,
        /** null leaves a gap: outside the letters cloth shows there, inside them the fill does. */
        public ?Srgb $colour,
        public Join $join = Join::Round,
        public float $mitreLimit = 3.0,
        /** About the outermost outline alone: counters, and what letters enclose between them, stay free. */
        public bool $silhouette = false,
        /** A disc of this diameter, in inches, fits into every hole and island that it leaves. */
        public float $crumbs = 0.012,
    ) {}
}
