<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** A fixed day of another calendar. */
final readonly class DayOfCalendar extends DayRule
{
    public function __construct(private OtherCalendar $calendar, private int $month, private int $day, int $plus)
    {
        parent::__construct($plus);
    }

    protected function plain(int $year): array
    {
        return $this->calendar->days($year, $this->month, $this->day);
    }
}
