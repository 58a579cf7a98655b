<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Calendar\Traces;
use App\Http\Answers\ResultLine;
use App\Models\CalendarEvent;
use App\Models\PlannedWork;
use App\Models\Sale;
use App\Models\Shop;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/** Sales by design, event, cloth and house for this year and last, compared with the hours of work. */
final class ResultController
{
    private const MOST = 200;

    /** Fewer hours than this are ignored. */
    private const LEAST_HOURS = 0.1;

    /** @return list<ResultLine> the best first, kind by kind */
    public function __invoke(Request $request, Shop $shop): array
    {
        $request->validate(['year' => ['sometimes', 'nullable', 'integer', 'between:2000,2100']]);
        $year = $request->filled('year') ? $request->integer('year') : (int) now()->format('Y');
        $titles = $shop->jobs()->pluck('title', 'id');
        $events = PlannedWork::query()->where('shop_id', $shop->id)->whereNotNull('print_job_id')->pluck('event', 'print_job_id');
        $own = CalendarEvent::query()->where('shop_id', $shop->id)->pluck('name', 'id');
        $sums = [];
        $sales = Sale::query()->where('shop_id', $shop->id)->whereBetween('sold_on', [($year - 1).'-01-01', "$year-12-31"]);
        foreach ($sales->lazyById() as $sale) {
            $isNow = (int) $sale->sold_on->format('Y') === $year;
            $names = ['design' => $titles[$sale->print_job_id] ?? 'a design that is gone', 'event' => self::called($events[$sale->print_job_id] ?? '', $own), 'cloth' => $sale->cloth, 'house' => $sale->house];
            foreach ($names as $by => $name) {
                if (is_string($name) && $name !== '') {
                    $sums[$by][$name] ??= [0, 0];
                    $sums[$by][$name][$isNow ? 0 : 1] += $sale->units;
                }
            }
        }
        $hours = [];
        foreach (Traces::hours($shop, Carbon::parse("$year-01-01 00:00:00"), Carbon::parse("$year-12-31 23:59:59"))->byDesign as $job => $spent) {
            $title = $titles[$job] ?? null;
            if (is_string($title) && $spent >= self::LEAST_HOURS) {
                $hours[$title] = ($hours[$title] ?? 0.0) + $spent;
                // Designs with hours but without sales are listed as well.
                $sums['design'][$title] ??= [0, 0];
            }
        }
        $lines = [];
        foreach ($sums as $by => $of) {
            uasort($of, fn (array $a, array $b): int => $b <=> $a);
            foreach (array_slice($of, 0, self::MOST, true) as $name => [$now, $before]) {
                $lines[] = new ResultLine($by, (string) $name, $now, $before, $by === 'design' ? round($hours[$name] ?? 0.0, 2) : 0.0);
            }
        }

        return $lines;
    }

    /**
     * A day of the seller's own by its name, any other by its key.
     *
     * @param  Collection<array-key, mixed>  $own
     */
    private static function called(mixed $event, Collection $own): string
    {
        $event = is_string($event) ? $event : '';

        $name = preg_match('/^own-(\d+)$/', $event, $found) === 1 ? ($own[(int) $found[1]] ?? null) : null;

        return is_string($name) ? $name : $event;
    }
}
