<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The colour of the ink at a point; null on bare cloth. */
final readonly class FoundColour extends Answer
{
    public function __construct(public ?string $colour) {}
}
