<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** The nth weekday of a month, such as its second or last Sunday. */
final readonly class NthWeekday extends DayRule
{
    /**
     * @param  int  $weekday  1 Monday to 7 Sunday (ISO 8601)
     * @param  int  $nth  counted from the start of the month; negative numbers count from its end
     */
    public function __construct(private int $month, private int $weekday, private int $nth, int $plus)
    {
        parent::__construct($plus);
    }

    protected function plain(int $year): array
    {
        $first = Day::on($year, $this->month, 1);
        $last = (int) $first->format('t');
        $day = $this->nth < 0
            ? $last - ((int) Day::on($year, $this->month, $last)->format('N') - $this->weekday + 7) % 7 + 7 * ($this->nth + 1)
            : 1 + ($this->weekday - (int) $first->format('N') + 7) % 7 + 7 * ($this->nth - 1);

        return $day >= 1 && $day <= $last ? [Day::on($year, $this->month, $day)] : [];
    }
}
