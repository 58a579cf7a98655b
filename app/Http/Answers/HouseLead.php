<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Additional lead time in weeks for listing at a house: its review, early seasons. */
final readonly class HouseLead extends Answer
{
    public function __construct(
        public int $house,
        public string $name,
        public int $weeks,
    ) {}
}
