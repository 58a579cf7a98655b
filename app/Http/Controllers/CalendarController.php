<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Calendar\CalendarRefused;
use App\Calendar\Events;
use App\Calendar\ICalendar;
use App\Calendar\Occasion;
use App\Calendar\Planner;
use App\Calendar\Settings;
use App\Calendar\Today;
use App\Http\Answers\CalendarPage;
use App\Http\Answers\EventsRead;
use App\Http\Answers\HouseLead;
use App\Http\Answers\LeadWeeks;
use App\Http\Answers\OccasionCard;
use App\Http\Answers\PlannedCard;
use App\Http\Answers\StageHours;
use App\Http\Answers\TodayLine;
use App\Http\Answers\WeekLoad;
use App\Models\CalendarEvent;
use App\Models\HouseRecord;
use App\Models\PlannedWork;
use App\Models\Shop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use TallCrow\Calendar\Day;
use TallCrow\Calendar\Observance;

/** The calendar: events, the plan derived from them, and today's tasks. */
final class CalendarController
{
    /** Number of weeks shown ahead. */
    private const WEEKS = 30;

    public function show(Shop $shop): CalendarPage
    {
        $planner = new Planner($shop);
        $settings = $planner->settings;
        $plan = $planner->plan();
        $occasions = Events::between($shop, $planner->today, $planner->today->modify('+'.self::WEEKS.' weeks'));
        $works = PlannedWork::query()->where('shop_id', $shop->id)->where('occurs_on', '>=', $planner->today->modify('-30 days')->format('Y-m-d'))->orderBy('occurs_on')->get();
        $cards = array_values($works->map(fn (PlannedWork $work): PlannedCard => new PlannedCard(
            $work->id, $work->title, $work->event, $work->occurs_on->format('Y-m-d'), $work->designs, $work->list_weeks, $planner->listBy($work)->format('Y-m-d'), $planner->designBy($work)->format('Y-m-d'), $planner->gatherBy($work)->format('Y-m-d'),
            ($plan->ends[$work->id] ?? null)?->format('Y-m-d'), in_array((string) $work->id, $plan->late, true), in_array((string) $work->id, $plan->drop, true), $work->dropped, $planner->isDone($work), $work->print_job_id,
        ))->all());
        $hours = $planner->hours();
        $weeks = [];
        $monday = $planner->today->modify('monday this week');
        for ($i = 0; $i < self::WEEKS; $i++, $monday = $monday->modify('+1 week')) {
            $next = $monday->modify('+1 week');
            $due = array_sum(array_map(fn (PlannedCard $card): int => $card->ends !== null && $card->listBy >= $monday->format('Y-m-d') && $card->listBy < $next->format('Y-m-d') ? $card->designs : 0, $cards));
            $weeks[] = new WeekLoad($monday->format('Y-m-d'), $plan->weeks[$monday->format('Y-m-d')] ?? 0, $due);
        }

        return new CalendarPage(
            array_map(fn (Occasion $one): OccasionCard => OccasionCard::of($one, $settings->lead[$one->kind] ?? Settings::USUAL['own']), $occasions), $cards, $weeks, round($planner->aWeek(), 2), round($planner->logged(), 2), $settings->aWeek !== null,
            $settings->countries, Observance::countries(), array_map(fn (string $kind): LeadWeeks => new LeadWeeks($kind, $settings->lead[$kind], Settings::USUAL[$kind]), Settings::KINDS),
            array_values(HouseRecord::query()->where('shop_id', $shop->id)->orderBy('name')->get()->map(fn (HouseRecord $house): HouseLead => new HouseLead($house->id, $house->name, $settings->ahead[$house->id] ?? 0))->all()), array_map(fn (string $stage, float $hours): StageHours => new StageHours($stage, round($hours, 2)), array_keys($hours), array_values($hours)), $settings->design, $settings->gather,
            $shop->calendar_secret === null ? '' : url("/calendar/$shop->calendar_secret.ics"),
        );
    }

    /** @return list<TodayLine> */
    public function today(Shop $shop): array
    {
        return array_map(TodayLine::of(...), Today::of($shop));
    }

    public function add(Request $request, Shop $shop): JsonResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:120'], 'on' => ['bail', 'required', 'string', 'date_format:Y-m-d'], 'days' => ['sometimes', 'nullable', 'integer', 'between:1,366'], 'rrule' => ['sometimes', 'nullable', 'string', 'max:300']], ['on.*' => 'Write the day as 2031-04-30.']);
        $rrule = strtoupper((string) preg_replace('/^RRULE:/i', '', $request->string('rrule')->trim()->toString()));
        if ($rrule !== '' && ! Events::isRule($rrule)) {
            throw ValidationException::withMessages(['rrule' => 'This rule is not understood. A rule is such as FREQ=YEARLY or FREQ=MONTHLY;BYDAY=2SA.']);
        }
        $event = CalendarEvent::query()->create(['shop_id' => $shop->id, 'name' => $request->string('name')->trim()->toString(), 'starts_on' => $request->string('on')->toString(), 'days' => $request->integer('days') ?: 1, 'rrule' => $rrule]);

        return OccasionCard::of(new Occasion("own-$event->id", $event->name, 'own', Day::parse($event->starts_on->format('Y-m-d')), $event->days, own: $event->id), Settings::of($shop)->lead['own'])->created();
    }

    public function drop(CalendarEvent $event): Response
    {
        $event->delete();

        return response()->noContent();
    }

    /** Imports the events of a calendar file; events imported before are updated. */
    public function import(Request $request, Shop $shop): EventsRead
    {
        $request->validate(['file' => ['required', 'file', 'max:5000']], ['file.required' => 'Choose a calendar.', 'file.max' => 'The calendar is larger than 5 MB.']);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        try {
            [$events, $problems] = ICalendar::read((string) file_get_contents($file->getPathname()));
        } catch (CalendarRefused $refused) {
            throw ValidationException::withMessages(['file' => $refused->getMessage()]);
        }
        [$taken, $known] = [0, 0];
        foreach ($events as $event) {
            $held = $event['uid'] === '' ? null : CalendarEvent::query()->where('shop_id', $shop->id)->where('uid', $event['uid'])->first();
            $held === null ? $taken++ : $known++;
            ($held ?? new CalendarEvent(['shop_id' => $shop->id]))->fill($event)->save();
        }

        return new EventsRead($taken, $known, array_slice($problems, 0, 50));
    }

    public function file(Shop $shop): Response
    {
        return new Response(ICalendar::events(CalendarEvent::query()->where('shop_id', $shop->id)->orderBy('starts_on')->get()), 200, ['Content-Type' => 'text/calendar; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="events.ics"']);
    }

    public function set(Request $request, Shop $shop): CalendarPage
    {
        $asked = $request->validate([
            'countries' => ['present', 'array', 'max:40'], 'countries.*' => ['string', 'regex:/^[A-Z]{2}$/'], 'lead' => ['present', 'array', 'max:10'], 'lead.*' => ['integer', 'between:0,52'], 'ahead' => ['sometimes', 'array', 'max:60'], 'ahead.*' => ['integer', 'between:0,26'],
            'design' => ['required', 'integer', 'between:0,52'], 'gather' => ['required', 'integer', 'between:0,52'], 'aWeek' => ['present', 'nullable', 'numeric', 'between:0.1,500'],
        ]);
        $shop->update(['calendar' => array_intersect_key($asked, array_flip(['countries', 'lead', 'ahead', 'design', 'gather', 'aWeek']))]);

        return $this->show($shop);
    }

    /** Creates a new secret URL for the feed; the old one stops working. */
    public function secret(Request $request, Shop $shop): CalendarPage
    {
        $request->validate(['on' => ['required', 'boolean']]);
        $shop->update(['calendar_secret' => $request->boolean('on') ? bin2hex(random_bytes(24)) : null]);

        return $this->show($shop);
    }

    public function plan(Request $request, Shop $shop): JsonResponse
    {
        $work = PlannedWork::query()->create($this->work($request, $shop) + ['shop_id' => $shop->id]);

        return new JsonResponse(['id' => $work->id], 201);
    }

    public function replan(Request $request, Shop $shop, PlannedWork $work): Response
    {
        $work->update($this->work($request, $shop));

        return response()->noContent();
    }

    public function unplan(PlannedWork $work): Response
    {
        $work->delete();

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private function work(Request $request, Shop $shop): array
    {
        $request->validate([
            'title' => ['required', 'string', 'max:200'], 'event' => ['sometimes', 'nullable', 'string', 'max:120'], 'on' => ['bail', 'required', 'string', 'date_format:Y-m-d'], 'designs' => ['required', 'integer', 'between:1,2000'],
            'listWeeks' => ['required', 'integer', 'between:0,52'], 'dropped' => ['sometimes', 'boolean'], 'job' => ['sometimes', 'nullable', 'integer', Rule::exists('print_jobs', 'id')->where('shop_id', $shop->id)],
        ], ['on.*' => 'Write the day as 2031-04-30.', 'job.exists' => 'That job is not there any more.']);

        return [
            'title' => $request->string('title')->trim()->toString(), 'event' => $request->string('event')->toString(), 'occurs_on' => $request->string('on')->toString(), 'designs' => $request->integer('designs'),
            'list_weeks' => $request->integer('listWeeks'), 'dropped' => $request->boolean('dropped'), 'print_job_id' => $request->filled('job') ? $request->integer('job') : null,
        ];
    }
}
