<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Colour\Srgb;

/** One ring of an outline: its own width in inches, lying outside what came before it. */
final readonly class Ring
{
    public function __construct(
        public float $width,
        public Srgb $colour,
        public Join $join,
        public float $mitreLimit,
    ) {}
}
