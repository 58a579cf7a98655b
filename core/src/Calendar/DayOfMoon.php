<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** The first full or new moon from a day of a month on; or, within so many days from it, the last. */
final readonly class DayOfMoon extends DayRule
{
    /**
     * @param  ?int  $within  days; null for all of the month
     * @param  int  $hours  from UTC, of the clock by which its day is told
     */
    public function __construct(private bool $isFull, private int $month, private int $day, private ?int $within, private int $hours, int $plus)
    {
        parent::__construct($plus);
    }

    protected function plain(int $year): array
    {
        $from = Day::on($year, $this->month, $this->day);
        $end = $this->within === null ? $from->modify('first day of next month') : $from->modify("+$this->within days");
        // By another clock a moment of one year may be on a day of the next or the last.
        $moments = [...Moon::moments($year - 1, $this->isFull), ...Moon::moments($year, $this->isFull), ...Moon::moments($year + 1, $this->isFull)];
        $days = array_map(fn (\DateTimeImmutable $moment): \DateTimeImmutable => Day::parse($moment->modify(sprintf('%+d hours', $this->hours))->format('Y-m-d')), $moments);
        $found = array_values(array_filter($days, fn (\DateTimeImmutable $day): bool => $day >= $from && $day < $end));

        return array_slice($found, $this->within === null ? 0 : -1, 1);
    }
}
