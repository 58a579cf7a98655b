<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The range of a wear texture's scale. */
final readonly class WearBounds extends Answer
{
    public function __construct(
        public float $leastScale,
        public float $mostScale,
    ) {}
}
