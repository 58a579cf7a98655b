<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Mean hours per finished design spent in one stage. */
final readonly class StageHours extends Answer
{
    public function __construct(
        public string $stage,
        public float $hours,
    ) {}
}
