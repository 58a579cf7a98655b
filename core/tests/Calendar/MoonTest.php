<?php

declare(strict_types=1);

use TallCrow\Calendar\Day;
use TallCrow\Calendar\Moon;

// Times of almanacs, universal time, to the minute; from memory.
it('finds the moments of full and new moons within minutes', function (bool $full, array $published): void {
    $moments = Moon::moments(2024, $full);
    expect($moments)->toHaveCount(count($published));
    foreach ($published as $i => $time) {
        expect(abs($moments[$i]->getTimestamp() - (new DateTimeImmutable("2024-$time UTC"))->getTimestamp()) / 60)->toBeLessThan(4.0, "$time and {$moments[$i]->format('m-d H:i')}");
    }
})->with([
    'full' => [true, ['01-25 17:54', '02-24 12:30', '03-25 07:00', '04-23 23:49', '05-23 13:53', '06-22 01:08', '07-21 10:17', '08-19 18:26', '09-18 02:34', '10-17 11:26', '11-15 21:28', '12-15 09:02']],
    'new' => [false, ['01-11 11:57', '02-09 22:59', '03-10 09:00', '04-08 18:21', '05-08 03:22', '06-06 12:38', '07-05 22:57', '08-04 11:13', '09-03 01:55', '10-02 18:49', '11-01 12:47', '12-01 06:21', '12-30 22:27']],
]);

// Months of the lunisolar calendar in ICU (PHP's intl) begin on the day of the new moon by the clock of the 120th meridian, reckoned by ICU's own astronomy.
it('begins lunar months on the days that ICU does', function (int $from): void {
    $calendar = IntlCalendar::createInstance('Etc/GMT-8', 'zh@calendar=chinese');
    assert($calendar instanceof IntlCalendar);
    foreach (range($from, $from + 24) as $year) {
        foreach (Moon::moments($year, false) as $moment) {
            $there = $moment->modify('+8 hours');
            // Too near midnight, minutes decide.
            $minutes = (int) $there->format('G') * 60 + (int) $there->format('i');
            if ($minutes < 15 || $minutes > 1425) {
                continue;
            }
            $calendar->setTime(1000.0 * $moment->getTimestamp());
            expect($calendar->get(IntlCalendar::FIELD_DAY_OF_MONTH))->toBe(1, $there->format('Y-m-d H:i'));
        }
    }
})->with([1975, 2000, 2025]);

it('has a new moon between any two full ones, 29 to 30 days apart, in every year', function (): void {
    foreach (range(1980, 2060) as $year) {
        [$full, $new] = [Moon::moments($year, true), Moon::moments($year, false)];
        expect(count($full))->toBeBetween(12, 13)->and(count($new))->toBeBetween(12, 13);
        foreach (array_slice($full, 1) as $i => $next) {
            // Synodic months are 29.27 to 29.84 days long (Meeus, Astronomical Algorithms, chapter 49).
            expect(($next->getTimestamp() - $full[$i]->getTimestamp()) / 86400)->toBeBetween(29.25, 29.86)
                ->and(count(array_filter($new, fn (DateTimeImmutable $moment): bool => $moment > $full[$i] && $moment < $next)))->toBe(1);
        }
        expect($full[0]->format('Y'))->toBe((string) $year)->and((int) $full[0]->format('z'))->toBeLessThan(30)->and((int) end($full)->format('z'))->toBeGreaterThan(334);
    }
});

it('counts whole days from one to another', function (): void {
    expect(Day::between(Day::on(2027, 3, 1), Day::on(2027, 3, 31)))->toBe(30)->and(Day::between(Day::on(2028, 3, 1), Day::on(2028, 2, 28)))->toBe(-2)
        ->and(Day::between(Day::parse('2026-10-24T13:00'), Day::parse('2026-10-26 00:10')))->toBe(2)
        ->and(Day::between(new DateTimeImmutable('2026-01-01 00:00 UTC'), new DateTimeImmutable('2026-01-01 13:00 UTC')))->toBe(1)
        ->and(Day::between(new DateTimeImmutable('2026-01-01 00:00 UTC'), new DateTimeImmutable('2026-01-01 11:00 UTC')))->toBe(0);
});
