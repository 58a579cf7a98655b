<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** How many of a design were sold. */
final readonly class SalesOfJob extends Answer
{
    public function __construct(
        public int $job,
        public string $title,
        public int $units,
        public ?string $lastOn,
    ) {}
}
