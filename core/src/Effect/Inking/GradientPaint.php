<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

/** A linear gradient across the whole piece. */
final readonly class GradientPaint implements Paint
{
    /** @param  list<Srgb>  $colours  colour stops at equal distances */
    public function __construct(
        public array $colours,
        /** Degrees clockwise; 0 runs from left to right. */
        public float $angle,
    ) {}
}
