<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A print area in pixels. */
final readonly class HouseArea extends Answer
{
    public function __construct(
        public int $width,
        public int $height,
        public float $ppi,
    ) {}
}
