<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

/** Colours that run into one another across the whole piece. */
final readonly class GradientPaint implements Paint
{
    /** @param  list<Srgb>  $colours  evenly apart */
    public function __construct(
        public array $colours,
        /** Degrees clockwise; 0 runs from left to right. */
        public float $angle,
    ) {}
}
