<?php

declare(strict_types=1);

namespace TallCrow\Gang;

/** The position of one copy of a piece: its upper left corner. */
final readonly class Laid
{
    public function __construct(
        public int $piece,
        public int $sheet,
        public float $left,
        public float $top,
        public float $width,
        public float $height,
        public bool $turned,
    ) {}
}
