<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Lead time for listing, in weeks before an event of one kind. */
final readonly class LeadWeeks extends Answer
{
    public function __construct(
        public string $kind,
        public int $weeks,
        public int $usual,
    ) {}
}
