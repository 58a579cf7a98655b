<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

/** Parallel lines inside the ink. Lengths are inches. */
final readonly class Hatching
{
    public function __construct(
        public float $spacing,
        public float $width,
        /** Degrees clockwise; 0 is level. */
        public float $angle,
        /** Kept free along the edge. */
        public float $inset,
        /** null takes ink away, so that cloth shows in the lines. */
        public ?Srgb $colour,
    ) {}
}
