<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Designs that fall into a week. */
final readonly class WeekLoad extends Answer
{
    public function __construct(
        public string $monday,
        public int $designs,
        /** That must be listed by the end of it. */
        public int $due,
    ) {}
}
