<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** How far a proof is: the layer at work, the kind of its line of retouching if one is, and the share of all that is done. */
final readonly class DrawingStep extends Answer
{
    public function __construct(
        public string $name,
        public string $kind,
        public float $done,
    ) {}
}
