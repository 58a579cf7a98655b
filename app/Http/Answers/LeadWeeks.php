<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Weeks before a day by which a design is listed, of one kind of event. */
final readonly class LeadWeeks extends Answer
{
    public function __construct(
        public string $kind,
        public int $weeks,
        public int $usual,
    ) {}
}
