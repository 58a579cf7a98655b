<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** The first full or new moon on or after a day of a month; or the last one within a given number of days after it. */
final readonly class DayOfMoon extends DayRule
{
    /**
     * @param  ?int  $within  length of the period in days; null to the end of the month
     * @param  int  $hours  offset from UTC of the clock that decides on which day the moment falls
     */
    public function __construct(private bool $isFull, private int $month, private int $day, private ?int $within, private int $hours, int $plus)
    {
        parent::__construct($plus);
    }

    protected function plain(int $year): array
    {
        $from = Day::on($year, $this->month, $this->day);
        $end = $this->within === null ? $from->modify('first day of next month') : $from->modify("+$this->within days");
        // With that offset, a moment near the turn of the year may fall in the next or the previous year.
        $moments = [...Moon::moments($year - 1, $this->isFull), ...Moon::moments($year, $this->isFull), ...Moon::moments($year + 1, $this->isFull)];
        $days = array_map(fn (\DateTimeImmutable $moment): \DateTimeImmutable => Day::parse($moment->modify(sprintf('%+d hours', $this->hours))->format('Y-m-d')), $moments);
        $found = array_values(array_filter($days, fn (\DateTimeImmutable $day): bool => $day >= $from && $day < $end));

        return array_slice($found, $this->within === null ? 0 : -1, 1);
    }
}
