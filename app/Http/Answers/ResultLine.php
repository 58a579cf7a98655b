<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Shirts sold this year and last of one design, event, cloth or house; for a design also its hours of work this year. */
final readonly class ResultLine extends Answer
{
    public function __construct(
        public string $by,
        public string $name,
        public int $thisYear,
        public int $lastYear,
        public float $hours,
    ) {}
}
