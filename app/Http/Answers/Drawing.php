<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Whether a proof is being drawn, and its progress. */
final readonly class Drawing extends Answer
{
    public function __construct(public ?DrawingStep $at) {}
}
