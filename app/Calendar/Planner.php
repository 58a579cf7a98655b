<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\LogEntry;
use App\Models\LogEvent;
use App\Models\PlannedWork;
use App\Models\Shop;
use Illuminate\Support\Collection;
use TallCrow\Calendar\Day;
use TallCrow\Calendar\Plan;
use TallCrow\Calendar\PlanItem;

/** The plan of a shop: the dates by which designs for an event must be listed, drawn and gathered, compared with the shop's rate of work. */
final readonly class Planner
{
    /** Number of past weeks from which the rate of finished designs is computed. */
    private const LOOKS_BACK = 12;

    public Settings $settings;

    public \DateTimeImmutable $today;

    public function __construct(private Shop $shop)
    {
        $this->settings = Settings::of($shop);
        $this->today = Day::parse(now()->format('Y-m-d'));
    }

    /** Designs finished per week: a design counts in the week of its first export. */
    public function logged(): float
    {
        $since = now()->subWeeks(self::LOOKS_BACK);
        $firsts = LogEntry::query()->where('shop_id', $this->shop->id)->where('event', LogEvent::File)->whereNotNull('job_id')->toBase()->selectRaw('job_id, title, min(at) as first')->groupBy('job_id', 'title')->get();

        return $firsts->filter(fn (object $one): bool => isset($one->first) && is_string($one->first) && $one->first >= $since->toDateTimeString())->count() / self::LOOKS_BACK;
    }

    /** @return array<string, float> hours that a finished design took by stage, of the weeks that are looked back on; none where none was finished */
    public function hours(): array
    {
        $finished = $this->logged() * self::LOOKS_BACK;
        if ($finished < 1) {
            return [];
        }

        return array_map(fn (float $hours): float => $hours / $finished, Traces::hours($this->shop, now()->subWeeks(self::LOOKS_BACK), now())->byStage);
    }

    public function aWeek(): float
    {
        return $this->settings->aWeek ?? max(0.5, $this->logged());
    }

    /** @return Collection<int, PlannedWork> that are not dropped and not over */
    public function open(): Collection
    {
        return PlannedWork::query()->where('shop_id', $this->shop->id)->where('dropped', false)->where('occurs_on', '>=', $this->today->format('Y-m-d'))->orderBy('occurs_on')->get();
    }

    public function listBy(PlannedWork $work): \DateTimeImmutable
    {
        return Day::parse($work->occurs_on->format('Y-m-d'))->modify("-$work->list_weeks weeks");
    }

    public function designBy(PlannedWork $work): \DateTimeImmutable
    {
        return $this->listBy($work)->modify("-{$this->settings->design} weeks");
    }

    public function gatherBy(PlannedWork $work): \DateTimeImmutable
    {
        return $this->designBy($work)->modify("-{$this->settings->gather} weeks");
    }

    /** Whether its job has an export or a listing. */
    public function isDone(PlannedWork $work): bool
    {
        return $work->print_job_id !== null && LogEntry::query()->where('shop_id', $this->shop->id)->where('job_id', $work->print_job_id)->where('event', LogEvent::Listed)->exists();
    }

    public function plan(): Plan
    {
        $items = [];
        foreach ($this->open() as $work) {
            if (! $this->isDone($work)) {
                $items[] = new PlanItem((string) $work->id, $work->designs, $this->listBy($work));
            }
        }

        return Plan::of($items, $this->aWeek(), $this->today);
    }
}
