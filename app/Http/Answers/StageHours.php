<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Hours that a finished design took at one stage, on the average. */
final readonly class StageHours extends Answer
{
    public function __construct(
        public string $stage,
        public float $hours,
    ) {}
}
