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
        /** Margin along the edge that is kept free. */
        public float $inset,
        /** Null removes ink, so that cloth shows in the lines. */
        public ?Srgb $colour,
    ) {}
}
