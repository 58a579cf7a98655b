<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

use TallCrow\Artwork\Reading;

/**
 * A rule that gives the days of an observance in a year: `{"month": 7, "day": 4}`, `{"month": 5, "weekday": 7, "nth": 2}` (Monday is 1, -1 the last),
 * `{"easter": -47}`,
 * `{"moon": "full", "month": 9}`, `{"moon": "new", "month": 10, "day": 16, "within": 30, "hours": -13}`, `{"calendar": "hebrew", "month": 3, "day": 25}`;
 * each optionally shifted by `"plus"` days.
 */
abstract readonly class DayRule
{
    protected function __construct(private int $plus) {}

    public static function read(Reading $node): self
    {
        $node = $node->knows('month', 'day', 'weekday', 'nth', 'easter', 'moon', 'within', 'hours', 'calendar', 'plus');
        $plus = $node->integer('plus', -366, 366, 0);
        if ($node->has('easter')) {
            return new FromEaster($node->integer('easter', -100, 250), $plus);
        }
        $calendar = $node->has('calendar') ? $node->choice('calendar', OtherCalendar::class) : null;
        $month = $node->integer('month', 1, $calendar === null ? 12 : 13);
        if ($calendar !== null) {
            return new DayOfCalendar($calendar, $month, $node->integer('day', 1, 30), $plus);
        }
        if ($node->has('moon')) {
            $isFull = $node->word('moon', ['full', 'new']) === 'full';

            return new DayOfMoon($isFull, $month, $node->integer('day', 1, 31, 1), $node->has('within') ? $node->integer('within', 29, 31) : null, $node->integer('hours', -24, 24, 0), $plus);
        }
        if ($node->has('weekday')) {
            return new NthWeekday($month, $node->integer('weekday', 1, 7), $node->integer('nth', -5, 5, 1), $plus);
        }

        return new DayOfMonth($month, $node->integer('day', 1, 31), $plus);
    }

    /** @return list<\DateTimeImmutable> empty if the year has no such day; two days if a shorter calendar year begins twice within it */
    final public function in(int $year): array
    {
        $days = $this->plain($year);

        return $this->plus === 0 ? $days : array_map(fn (\DateTimeImmutable $day): \DateTimeImmutable => $day->modify(sprintf('%+d days', $this->plus)), $days);
    }

    /** @return list<\DateTimeImmutable> before the shift by "plus" days */
    abstract protected function plain(int $year): array;
}
