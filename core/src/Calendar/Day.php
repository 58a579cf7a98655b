<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** Days without a time, as midnight UTC. */
final class Day
{
    public static function on(int $year, int $month, int $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable(sprintf('%04d-%02d-%02d', $year, $month, $day), new \DateTimeZone('UTC'));
    }

    public static function parse(string $date): \DateTimeImmutable
    {
        return new \DateTimeImmutable(substr($date, 0, 10), new \DateTimeZone('UTC'));
    }

    /** Whole days from one date to the other. */
    public static function between(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        return (int) round(($to->getTimestamp() - $from->getTimestamp()) / 86400);
    }
}
