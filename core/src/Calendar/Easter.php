<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** Easter Sunday of the western churches: the Gregorian computus in the form of Meeus (Astronomical Algorithms, chapter 8). */
final class Easter
{
    public static function of(int $year): \DateTimeImmutable
    {
        $a = $year % 19;
        [$b, $c] = [intdiv($year, 100), $year % 100];
        [$d, $e] = [intdiv($b, 4), $b % 4];
        $f = intdiv($b + 8, 25);
        $g = intdiv($b - $f + 1, 3);
        $h = (19 * $a + $b - $d - $g + 15) % 30;
        [$i, $k] = [intdiv($c, 4), $c % 4];
        $l = (32 + 2 * $e + 2 * $i - $h - $k) % 7;
        $m = intdiv($a + 11 * $h + 22 * $l, 451);
        $n = $h + $l - 7 * $m + 114;

        return Day::on($year, intdiv($n, 31), $n % 31 + 1);
    }
}
