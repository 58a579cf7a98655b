<?php

declare(strict_types=1);

namespace App\Calendar;

/** A task for a shop. */
final readonly class Due
{
    public function __construct(
        public bool $late,
        public string $says,
        public \DateTimeImmutable $on,
        /** Page of the application on which it is done. */
        public string $to,
    ) {}
}
