<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The position of a copy on film, in inches. */
final readonly class LaidCopy extends Answer
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
