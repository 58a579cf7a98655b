<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** Calendars beside ours: the Hebrew one as PHP's calendar functions reckon it, the others as ICU does (PHP's intl). */
enum OtherCalendar: string
{
    /** Months count from Tishri; Adar is the seventh in every year, the sixth only in leap years. */
    case Hebrew = 'hebrew';

    /** Umm al-Qura, by tables: where the moon is watched for, a month may begin a day later or earlier. */
    case Islamic = 'islamic';

    /** Lunisolar, by the clock of the 120th meridian; leap months are not counted. */
    case Chinese = 'chinese';

    /** @return list<\DateTimeImmutable> the days of one of our years on which its day is */
    public function days(int $year, int $month, int $day): array
    {
        $days = $this === self::Hebrew ? self::hebrew($year, $month, $day) : $this->byIcu($year, $month, $day);

        return array_values(array_filter($days, fn (\DateTimeImmutable $on): bool => (int) $on->format('Y') === $year));
    }

    /** @return list<\DateTimeImmutable> */
    private static function hebrew(int $year, int $month, int $day): array
    {
        $days = [];
        // Its years begin in our autumn.
        foreach ([$year + 3760, $year + 3761] as $own) {
            $count = jewishtojd($month, $day, $own);
            $back = cal_from_jd($count, CAL_JEWISH);
            // A day that a month or a year lacks would be told as one of the next.
            if ([$back['month'], $back['day']] === [$month, $day]) {
                // Julian days count from noon; the first of 1970 is 2440588.
                $days[] = Day::on(1970, 1, 1)->modify(($count - 2440588).' days');
            }
        }

        return $days;
    }

    /** @return list<\DateTimeImmutable> */
    private function byIcu(int $year, int $month, int $day): array
    {
        $calendar = \IntlCalendar::createInstance('UTC', 'en@calendar='.($this === self::Islamic ? 'islamic-umalqura' : $this->value));
        $calendar->setTime(1000.0 * Day::on($year, 1, 1)->getTimestamp());
        $first = (int) $calendar->get(\IntlCalendar::FIELD_EXTENDED_YEAR);
        $days = [];
        for ($own = $first; $own <= $first + 2; $own++) {
            $calendar->clear();
            $calendar->set(\IntlCalendar::FIELD_EXTENDED_YEAR, $own);
            $calendar->set(\IntlCalendar::FIELD_MONTH, $month - 1);
            $calendar->set(\IntlCalendar::FIELD_DAY_OF_MONTH, $day);
            $on = Day::parse(gmdate('Y-m-d', (int) ($calendar->getTime() / 1000)));
            if ($calendar->get(\IntlCalendar::FIELD_DAY_OF_MONTH) === $day) {
                $days[] = $on;
            }
        }

        return $days;
    }
}
