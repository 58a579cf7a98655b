<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\CalendarEvent;
use App\Models\Shop;
use Sabre\VObject\InvalidDataException;
use Sabre\VObject\Recur\RRuleIterator;
use TallCrow\Calendar\Day;
use TallCrow\Calendar\Observance;

/** Events by date: public observances of the seller's countries, and the seller's own events. */
final class Events
{
    /** Greatest number of occurrences of one recurring event in the period. */
    private const MOST = 400;

    /** @return list<Occasion> by their days */
    public static function between(Shop $shop, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        $all = [];
        $countries = Settings::of($shop)->countries;
        foreach (Observance::all() as $one) {
            if ($one->countries !== [] && array_intersect($one->countries, $countries) === []) {
                continue;
            }
            foreach (range((int) $from->format('Y') - 1, (int) $to->format('Y')) as $year) {
                foreach ($one->rule->in($year) as $on) {
                    if ($on <= $to && $on->modify('+'.($one->days - 1).' days') >= $from) {
                        $all[] = new Occasion($one->slug, $one->name, $one->kind, $on, $one->days, $one->caution, $one->ribbon);
                    }
                }
            }
        }
        foreach (CalendarEvent::query()->where('shop_id', $shop->id)->get() as $event) {
            foreach (self::days($event, $from->modify("-$event->days days"), $to) as $on) {
                $all[] = new Occasion("own-$event->id", $event->name, 'own', $on, $event->days, own: $event->id);
            }
        }
        usort($all, fn (Occasion $a, Occasion $b): int => [$a->on, $a->name] <=> [$b->on, $b->name]);

        return $all;
    }

    /** @return list<\DateTimeImmutable> */
    public static function days(CalendarEvent $event, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        $start = Day::parse($event->starts_on->format('Y-m-d'));
        if ($event->rrule === '') {
            return $start >= $from && $start <= $to ? [$start] : [];
        }
        $days = [];
        $rule = new RRuleIterator($event->rrule, $start);
        for ($rule->fastForward($from); $rule->valid() && count($days) < self::MOST; $rule->next()) {
            $on = $rule->current();
            if (! $on instanceof \DateTimeInterface || $on > $to) {
                break;
            }
            $days[] = Day::parse($on->format('Y-m-d'));
        }

        return $days;
    }

    public static function isRule(string $rrule): bool
    {
        try {
            // Rules that recur hourly or more often are not daily events.
            if (preg_match('/FREQ=(SECONDLY|MINUTELY|HOURLY)/i', $rrule) === 1) {
                return false;
            }
            (new RRuleIterator($rrule, Day::on(2026, 1, 1)))->valid();

            return true;
        } catch (InvalidDataException|\ValueError|\TypeError) {
            return false;
        }
    }
}
