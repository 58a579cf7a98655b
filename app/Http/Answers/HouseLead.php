<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Weeks more that listing at a house takes: its own review, seasons that it opens early. */
final readonly class HouseLead extends Answer
{
    public function __construct(
        public int $house,
        public string $name,
        public int $weeks,
    ) {}
}
