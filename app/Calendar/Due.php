<?php

declare(strict_types=1);

namespace App\Calendar;

/** Something that a shop has to do. */
final readonly class Due
{
    public function __construct(
        public bool $late,
        public string $says,
        public \DateTimeImmutable $on,
        /** Page of the application where it is done. */
        public string $to,
    ) {}
}
