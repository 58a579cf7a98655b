<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Sales of a design. */
final readonly class SalesOfJob extends Answer
{
    public function __construct(
        public int $job,
        public string $title,
        public int $units,
        public ?string $lastOn,
    ) {}
}
