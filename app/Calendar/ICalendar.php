<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\CalendarEvent;
use Illuminate\Support\Str;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Reader;
use TallCrow\Calendar\Day;

/** Reads and writes iCalendar (RFC 5545). */
final class ICalendar
{
    public const MOST = 2000;

    /**
     * @return array{list<array{name: string, starts_on: string, days: int, rrule: string, uid: string}>, list<string>} events, and what was left
     *
     * @throws CalendarRefused
     */
    public static function read(string $text): array
    {
        try {
            $calendar = Reader::read($text, Reader::OPTION_FORGIVING);
        } catch (ParseException|\InvalidArgumentException) {
            throw new CalendarRefused('This is no calendar that can be read: it should be a file of the kind .ics.');
        }
        if (! $calendar instanceof VCalendar) {
            throw new CalendarRefused('This is no calendar that can be read: it should be a file of the kind .ics.');
        }
        [$events, $left] = [[], []];
        foreach ($calendar->select('VEVENT') as $event) {
            if (count($events) >= self::MOST) {
                $left[] = 'More than '.self::MOST.' events: the rest is left out.';
                break;
            }
            $of = fn (string $name): ?Property => $event instanceof VEvent && ($found = $event->select($name)[0] ?? null) instanceof Property ? $found : null;
            $start = $of('DTSTART');
            $name = trim((string) $of('SUMMARY'));
            if (! $start instanceof DateTime || $name === '') {
                $left[] = sprintf('"%s" has no name or no day.', mb_substr($name, 0, 60));

                continue;
            }
            $rrule = mb_substr((string) $of('RRULE'), 0, 300);
            if ($rrule !== '' && ! Events::isRule($rrule)) {
                $left[] = sprintf('"%s" comes again by a rule that is not understood.', mb_substr($name, 0, 60));

                continue;
            }
            $from = Day::parse($start->getDateTime()->format('Y-m-d'));
            $last = $of('DTEND');
            $end = $last instanceof DateTime ? Day::parse($last->getDateTime()->format('Y-m-d')) : $from;
            $events[] = ['name' => mb_substr($name, 0, 120), 'starts_on' => $from->format('Y-m-d'), 'days' => max(1, min(366, Day::between($from, $end))), 'rrule' => $rrule, 'uid' => mb_substr((string) $of('UID'), 0, 255)];
        }

        return [$events, $left];
    }

    /**
     * The seller's own events, as they recur.
     *
     * @param  iterable<CalendarEvent>  $events
     */
    public static function events(iterable $events): string
    {
        $calendar = self::blank('Events');
        foreach ($events as $event) {
            self::add($calendar, $event->uid === '' ? "event-$event->id@tall-crow" : $event->uid, $event->name, Day::parse($event->starts_on->format('Y-m-d')), $event->days, $event->rrule === '' ? [] : ['RRULE' => $event->rrule]);
        }

        return $calendar->serialize();
    }

    /**
     * Days with what is due on them.
     *
     * @param  list<array{uid: string, name: string, on: \DateTimeImmutable, note: string}>  $dues
     */
    public static function dues(array $dues): string
    {
        $calendar = self::blank('Tall Crow');
        foreach ($dues as $due) {
            self::add($calendar, $due['uid'], $due['name'], $due['on'], 1, $due['note'] === '' ? [] : ['DESCRIPTION' => $due['note']]);
        }

        return $calendar->serialize();
    }

    private static function blank(string $name): VCalendar
    {
        return new VCalendar(['PRODID' => '-//Lantern & Rook//Tall Crow//EN', 'X-WR-CALNAME' => $name]);
    }

    /** @param  array<string, string>  $more */
    private static function add(VCalendar $calendar, string $uid, string $name, \DateTimeImmutable $on, int $days, array $more): void
    {
        $event = $calendar->createComponent('VEVENT', ['UID' => $uid === '' ? (string) Str::uuid() : $uid, 'SUMMARY' => $name, 'DTSTAMP' => new \DateTimeImmutable('now', new \DateTimeZone('UTC'))] + $more);
        $calendar->add($event);
        $event->add('DTSTART', $on->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $on->modify("+$days days")->format('Ymd'), ['VALUE' => 'DATE']);
    }
}
