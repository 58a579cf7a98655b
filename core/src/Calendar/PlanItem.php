<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** Designs that must be finished by a day. */
final readonly class PlanItem
{
    /** @param  int  $designs  a series counts as its rows */
    public function __construct(
        public string $id,
        public int $designs,
        public \DateTimeImmutable $by,
    ) {}
}
