<?php

declare(strict_types=1);

namespace Demo;

use App\Models\CalendarEvent;
use App\Models\Idea;
use App\Models\PlannedWork;
use App\Models\PrintJob;
use App\Models\Series;
use App\Models\Shop;
use App\Models\User;
use TallCrow\Artwork\ArtworkReader;
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

    /** Designs that were drawn weeks ago, in evenings: days since, and the minutes from one saved step to the next. */
    private const DRAWN = [
        'Moth night, hoodie back' => [41, [6, 9, 4, 12, 7, 11, 5, 3, 8, 10, 6, 4]], 'Quarry Road kite day' => [27, [5, 8, 13, 6, 4, 7, 9, 3]], 'Tide-pool rangers, chest badge' => [16, [7, 5, 11, 4, 6]],
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
        foreach (self::DRAWN as $title => [$days, $minutes]) {
            $drawn = $job($title);
            $drawn === null || self::steps($drawn, $days, $minutes);
        }
        $pattern = $job('Lantern & Rook varsity');
        if ($pattern !== null) {
            self::series($shop, $pattern);
        }
    }

    /**
     * The saved steps in which a design came to be, line upon line.
     *
     * @param  list<int>  $minutes
     */
    private static function steps(PrintJob $job, int $days, array $minutes): void
    {
        $head = $job->head;
        if ($head === null) {
            return;
        }
        $who = User::query()->where('shop_id', $job->shop_id)->orderBy('id')->first()?->id;
        [$whole, $parent, $at] = [$head->read(), null, now()->subDays($days)->setTime(19, 5)];
        foreach ($minutes as $i => $after) {
            $at = $at->addMinutes($after);
            $count = (int) ceil(($i + 1) / count($minutes) * count($whole->layers));
            // Wear comes last: it may shield what is not there yet.
            $json = json_encode($whole->withLayers(array_slice($whole->layers, 0, $count))->withDistress($count < count($whole->layers) ? [] : $whole->distress)->toArray(), JSON_THROW_ON_ERROR);
            ArtworkReader::json($json);
            $step = $job->revisions()->make(['shop_id' => $job->shop_id, 'user_id' => $who, 'parent_id' => $parent, 'artwork' => $json]);
            $step->forceFill(['created_at' => $at, 'updated_at' => $at])->save();
            $parent = $step->id;
        }
        $head->forceFill(['parent_id' => $parent, 'user_id' => $who, 'created_at' => $at->addMinutes(6)])->save();
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
