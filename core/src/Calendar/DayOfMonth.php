<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** A fixed date, the same each year. */
final readonly class DayOfMonth extends DayRule
{
    public function __construct(private int $month, private int $day, int $plus)
    {
        parent::__construct($plus);
    }

    protected function plain(int $year): array
    {
        return checkdate($this->month, $this->day, $year) ? [Day::on($year, $this->month, $this->day)] : [];
    }
}
