<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

/** A hard shadow of all ink, offset by inches. */
final readonly class CastShadow
{
    public function __construct(
        public float $x,
        public float $y,
        public Srgb $colour,
        /** Whether the shadow is swept from the piece to the offset, as a solid block. */
        public bool $solid,
    ) {}
}
