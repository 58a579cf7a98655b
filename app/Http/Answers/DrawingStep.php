<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Progress of a proof: the current layer, its current retouching step if any, and the fraction done. */
final readonly class DrawingStep extends Answer
{
    public function __construct(
        public string $name,
        public string $kind,
        public float $done,
    ) {}
}
