<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Number of designs in a week. */
final readonly class WeekLoad extends Answer
{
    public function __construct(
        public string $monday,
        public int $designs,
        /** Number that must be listed by its end. */
        public int $due,
    ) {}
}
