<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Srgb;

/** A cloth colour on offer. */
final readonly class Garment
{
    public function __construct(
        public string $name,
        public Srgb $colour,
    ) {}
}
