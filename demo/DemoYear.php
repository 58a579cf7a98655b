<?php

declare(strict_types=1);

namespace Demo;

use App\Models\CalendarEvent;
use App\Models\Idea;
use App\Models\PlannedWork;
use App\Models\PrintJob;
use App\Models\Series;
use App\Models\Shop;
use TallCrow\Calendar\Day;

/** The Quarry Road year: its days, a plan that does not fit until one thing is dropped, ideas, and a series of twelve names of which three have faults. */
final class DemoYear
{
    private const DAYS = ['fair' => ['Bell ringers\' fair', 2, 6, 2], 'pools' => ['Tide-pool week', 5, 10, 6], 'kites' => ['Kite day', 7, 4, 1], 'moths' => ['Moth night', 8, 14, 1]];

    private const NAMES = [
        ['WREN', '#f3ead7'], ['ROOK', '#f3ead7'], ['HARROW', '#e9c46a'], ['MALLORY', '#f3ead7'], ['QUILL', '#f3ead7'], ['FENWICK', '#e9c46a'], ['TARN', '#f3ead7'], ['OAKES', '#f3ead7'], ['LOCKE', '#e9c46a'],
        // Far too long; letters that the font lacks; changed by hand until it fell off the sheet.
        ['FEATHERSTONEHAUGH-MALLORY-OF-QUARRY', '#f3ead7'], ['ΩMEGA', '#f3ead7'], ['ASHBY', '#f3ead7'],
    ];

    public static function lay(Shop $shop): void
    {
        $today = Day::parse(now()->format('Y-m-d'));
        $events = ['fair' => '', 'pools' => '', 'kites' => '', 'moths' => ''];
        foreach (self::DAYS as $slug => [$name, $month, $day, $days]) {
            $events[$slug] = 'own-'.CalendarEvent::query()->create(['shop_id' => $shop->id, 'name' => $name, 'starts_on' => Day::on((int) $today->format('Y') - 1, $month, $day)->format('Y-m-d'), 'days' => $days, 'rrule' => 'FREQ=YEARLY'])->id;
        }
        $shop->update(['calendar' => ['countries' => ['GB', 'US'], 'lead' => [], 'design' => 1, 'gather' => 1, 'aWeek' => 2]]);
        $plan = fn (string $title, int $weeks, int $designs, string $event = '', ?int $job = null) => PlannedWork::query()->create(['shop_id' => $shop->id, 'title' => $title, 'event' => $event, 'occurs_on' => $today->modify("+$weeks weeks")->format('Y-m-d'), 'designs' => $designs, 'list_weeks' => 4, 'print_job_id' => $job]);
        $job = fn (string $title): ?PrintJob => $shop->jobs()->where('title', $title)->first();
        $plan('Bell ringers\' fair shirts', 8, 3, $events['fair']);
        $plan('Family names', 12, 12, '', $job('Lantern & Rook varsity')?->id);
        $plan('Tide-pool rangers', 11, 4, $events['pools']);
        $plan('Kite day', 20, 4, $events['kites'], $job('Quarry Road kite day')?->id);
        $plan('Moth night', 24, 5, $events['moths'], $job('Moth night, hoodie back')?->id);
        foreach ([['Moths prefer the lantern', 'moths', 'people who stay up'], ['I brake for tide pools', 'pools', 'rangers'], ['Ring it again', 'fair', 'ringers and their neighbours']] as [$words, $event, $niche]) {
            Idea::query()->create(['shop_id' => $shop->id, 'words' => $words, 'event' => $events[$event], 'niche' => $niche]);
        }
        $pattern = $job('Lantern & Rook varsity');
        if ($pattern !== null) {
            self::series($shop, $pattern);
        }
    }

    private static function series(Shop $shop, PrintJob $job): void
    {
        $slots = [['name' => 'Name', 'places' => ['arch/source/text'], 'fit' => ['keep' => 'box', 'least' => 0.7, 'tighter' => 40]], ['name' => 'Ink', 'places' => ['arch/effects/3/colour']]];
        $series = Series::query()->create(['shop_id' => $shop->id, 'print_job_id' => $job->id, 'pattern' => json_encode(['format' => 'tallcrow.pattern/1', 'title' => '{Name} varsity', 'slots' => $slots], JSON_THROW_ON_ERROR)]);
        foreach (self::NAMES as $i => [$name, $ink]) {
            $series->rows()->create(['shop_id' => $shop->id, 'position' => $i + 1, 'values' => ['Name' => $name, 'Ink' => $ink], 'changes' => $name === 'ASHBY' ? ['arch/placement/width' => '13.4'] : null]);
        }
    }
}
