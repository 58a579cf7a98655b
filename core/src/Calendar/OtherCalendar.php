<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** Calendars besides the Gregorian: the Hebrew calendar computed by PHP's calendar extension, the others by ICU (PHP's intl extension). */
enum OtherCalendar: string
{
    /** Months count from Tishri; Adar is the seventh in every year, the sixth only in leap years. */
    case Hebrew = 'hebrew';

    /** Umm al-Qura, from tables: where the new moon is observed by eye, a month may begin a day earlier or later. */
    case Islamic = 'islamic';

    /** Lunisolar, in the time zone of the 120th meridian east; leap months are not counted. */
    case Chinese = 'chinese';

    /** @return list<\DateTimeImmutable> the dates in a Gregorian year on which a day of this calendar falls */
    public function days(int $year, int $month, int $day): array
    {
        $days = $this === self::Hebrew ? self::hebrew($year, $month, $day) : $this->byIcu($year, $month, $day);

        return array_values(array_filter($days, fn (\DateTimeImmutable $on): bool => (int) $on->format('Y') === $year));
    }

    /** @return list<\DateTimeImmutable> */
    private static function hebrew(int $year, int $month, int $day): array
    {
        $days = [];
        // Its years begin in the Gregorian autumn.
        foreach ([$year + 3760, $year + 3761] as $own) {
            $count = jewishtojd($month, $day, $own);
            $back = cal_from_jd($count, CAL_JEWISH);
            // A day that does not exist in this month or year would be converted to a day of the next one.
            if ([$back['month'], $back['day']] === [$month, $day]) {
                // Julian day numbers start at noon; 1 January 1970 is 2440588.
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
