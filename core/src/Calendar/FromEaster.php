<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** A number of days before or after Easter Sunday. */
final readonly class FromEaster extends DayRule
{
    public function __construct(private int $days, int $plus)
    {
        parent::__construct($plus);
    }

    protected function plain(int $year): array
    {
        return [Easter::of($year)->modify(sprintf('%+d days', $this->days))];
    }
}
