<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\LicenceRecord;
use App\Models\LogEntry;
use App\Models\LogEvent;
use App\Models\Parcel;
use App\Models\ParcelState;
use App\Models\PlannedWork;
use App\Models\Shop;
use TallCrow\Calendar\Day;

/** A shop's current tasks: late or due work, licences about to end, replies of houses, listings whose event is over. */
final class Today
{
    private const SOON = 14;

    private const LICENCES = 30;

    private const HOUSES = 7;

    /** @return list<Due> the most pressing first */
    public static function of(Shop $shop): array
    {
        $planner = new Planner($shop);
        $dues = [];
        foreach ($planner->open() as $work) {
            if (! $planner->isDone($work)) {
                array_push($dues, ...self::work($work, $planner));
            }
        }
        array_push($dues, ...self::licences($shop), ...self::houses($shop), ...self::over($shop, $planner));
        usort($dues, fn (Due $a, Due $b): int => [$b->late, $a->on] <=> [$a->late, $b->on]);

        return $dues;
    }

    /** @return list<Due> */
    private static function work(PlannedWork $work, Planner $planner): array
    {
        $to = $work->print_job_id === null ? '/calendar' : "/jobs/$work->print_job_id/build";
        [$list, $design, $gather] = [$planner->listBy($work), $planner->designBy($work), $planner->gatherBy($work)];
        $in = fn (\DateTimeImmutable $by): int => Day::between($planner->today, $by);

        return match (true) {
            $in($list) < 0 => [new Due(true, "$work->title should have been listed", $list, $to)],
            $in($design) < 0 => [new Due(true, "$work->title should have been drawn", $design, $to)],
            $in($design) <= self::SOON => [new Due(false, "Draw $work->title", $design, $to)],
            $in($gather) <= self::SOON => [new Due(false, "Gather for $work->title", $gather, $to)],
            default => [],
        };
    }

    /** @return list<Due> */
    private static function licences(Shop $shop): array
    {
        $ends = LicenceRecord::query()->where('shop_id', $shop->id)->whereNotNull('ends_on')->where('ends_on', '<=', now()->addDays(self::LICENCES)->toDateString())->get();

        return array_values($ends->map(function (LicenceRecord $licence): Due {
            $on = Day::parse((string) $licence->ends_on?->format('Y-m-d'));

            return new Due($on < Day::parse(now()->format('Y-m-d')), "The licence $licence->name ".($on < Day::parse(now()->format('Y-m-d')) ? 'has ended' : 'ends'), $on, '/licences');
        })->all());
    }

    /** @return list<Due> */
    private static function houses(Shop $shop): array
    {
        $told = Parcel::query()->where('shop_id', $shop->id)->whereIn('state', [ParcelState::Refused, ParcelState::Failed])->where('updated_at', '>=', now()->subDays(self::HOUSES))->with(['export', 'house'])->limit(20)->get();

        return array_values($told->map(fn (Parcel $parcel): Due => new Due(true, ($parcel->house->name ?? 'A house').($parcel->state === ParcelState::Refused ? ' refused ' : ' has not got ').$parcel->export->file, Day::parse($parcel->updated_at->format('Y-m-d')), "/jobs/{$parcel->export->print_job_id}/send"))->all());
    }

    /**
     * Listings whose day is over and that were not taken down.
     *
     * @return list<Due>
     */
    private static function over(Shop $shop, Planner $planner): array
    {
        $dues = [];
        $past = PlannedWork::query()->where('shop_id', $shop->id)->where('dropped', false)->whereNotNull('print_job_id')->where('occurs_on', '<', $planner->today->format('Y-m-d'))->where('occurs_on', '>=', $planner->today->modify('-120 days')->format('Y-m-d'))->get();
        foreach ($past as $work) {
            $last = LogEntry::query()->where('shop_id', $shop->id)->where('job_id', $work->print_job_id)->whereIn('event', [LogEvent::Listed, LogEvent::TakenDown])->orderByDesc('id')->first();
            if ($last?->event === LogEvent::Listed) {
                $dues[] = new Due(false, "$work->title is over: take its listing down, or renew it", Day::parse($work->occurs_on->format('Y-m-d')), "/jobs/$work->print_job_id/send");
            }
        }

        return $dues;
    }
}
