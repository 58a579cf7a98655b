<?php

declare(strict_types=1);

namespace TallCrow\Gang;

/** A design that goes on a gang sheet, so many times. Lengths are inches. */
final readonly class GangPiece
{
    public function __construct(
        public string $name,
        public float $width,
        public float $height,
        public int $count,
        /** Whether it may lie turned by a quarter. */
        public bool $turns = true,
    ) {
        if ($width <= 0 || $height <= 0 || $count < 1) {
            throw GangRefused::piece($name);
        }
    }
}
