<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Between which sizes a texture of wear may lie. */
final readonly class WearBounds extends Answer
{
    public function __construct(
        public float $leastScale,
        public float $mostScale,
    ) {}
}
