<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** A number of designs with one due date. */
final readonly class PlanItem
{
    /** @param  int  $designs  each row of a series counts as one */
    public function __construct(
        public string $id,
        public int $designs,
        public \DateTimeImmutable $by,
    ) {}
}
