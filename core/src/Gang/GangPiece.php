<?php

declare(strict_types=1);

namespace TallCrow\Gang;

/** A design for a gang sheet and the number of its copies. Lengths are in inches. */
final readonly class GangPiece
{
    public function __construct(
        public string $name,
        public float $width,
        public float $height,
        public int $count,
        /** Whether it may be rotated by 90°. */
        public bool $turns = true,
    ) {
        if ($width <= 0 || $height <= 0 || $count < 1) {
            throw GangRefused::piece($name);
        }
    }
}
