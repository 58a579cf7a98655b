<?php

declare(strict_types=1);

use App\Models\CalendarEvent;
use App\Models\LogEntry;
use App\Models\PlannedWork;
use App\Models\Sale;
use App\Models\Shop;
use Illuminate\Http\UploadedFile;
use Sabre\VObject\Reader;
use TallCrow\Tests\Fixtures;

beforeEach(fn () => $this->travelTo('2026-11-26 10:00:00'));

/** @param  array<string, mixed>  $more */
function planned(object $test, string $title, string $on, int $designs = 1, array $more = []): int
{
    return $test->postJson('/api/plan', $more + ['title' => $title, 'on' => $on, 'designs' => $designs, 'listWeeks' => 4])->assertCreated()->json('id');
}

function settings(object $test, array $more = []): array
{
    return $test->putJson('/api/calendar/settings', $more + ['countries' => ['GB'], 'lead' => ['holiday' => 8], 'design' => 1, 'gather' => 1, 'aWeek' => 2])->assertOk()->json();
}

it('shows days of the seller\'s countries and of the seller\'s own, each with its lead', function (): void {
    $page = settings($this, ['lead' => ['holiday' => 10, 'own' => 3]]);
    $names = array_column($page['occasions'], 'name');
    expect($names)->toContain('Christmas Day', 'Mothering Sunday')->not->toContain('Thanksgiving', 'Independence Day')->and(collect($page['occasions'])->firstWhere('key', 'christmas'))->toMatchArray(['on' => '2026-12-25', 'listWeeks' => 10])
        ->and(collect($page['leads'])->firstWhere('kind', 'fun'))->toMatchArray(['weeks' => 6, 'usual' => 6])
        ->and(collect($page['occasions'])->firstWhere('key', 'ramadan'))->toMatchArray(['on' => '2027-02-08', 'days' => 29])->and(collect($page['occasions'])->firstWhere('key', 'down-syndrome-day'))->toMatchArray(['ribbon' => 'blue and yellow'])->and($page['known'])->toContain('GB', 'MX');
    $this->postJson('/api/calendar/events', ['name' => 'Moth night', 'on' => '2026-08-14', 'rrule' => 'RRULE:FREQ=MONTHLY;BYDAY=2FR'])->assertCreated();
    $this->postJson('/api/calendar/events', ['name' => 'Bell ringers\' fair', 'on' => '2027-02-06', 'days' => 2])->assertCreated();
    // The second Friday of each month.
    $own = collect($this->getJson('/api/calendar')->json('occasions'))->where('kind', 'own');
    expect($own->where('name', 'Moth night')->pluck('on')->take(3)->values()->all())->toBe(['2026-12-11', '2027-01-08', '2027-02-12'])->and($own->firstWhere('name', 'Bell ringers\' fair'))->toMatchArray(['days' => 2, 'listWeeks' => 3]);
    $this->postJson('/api/calendar/events', ['name' => 'x', 'on' => '2026-08-14', 'rrule' => 'FREQ=SOMETIMES'])->assertJsonValidationErrors('rrule');
    $this->postJson('/api/calendar/events', ['name' => 'x', 'on' => '2026-08-14', 'rrule' => 'FREQ=SECONDLY'])->assertJsonValidationErrors('rrule');
    $this->postJson('/api/calendar/events', ['name' => '', 'on' => 'soon'])->assertJsonValidationErrors(['name', 'on']);
    $this->deleteJson('/api/calendar/events/'.CalendarEvent::query()->firstOrFail()->id)->assertNoContent();
    expect(CalendarEvent::query()->count())->toBe(1);
});

it('takes calendars in and hands them out as RFC 5545 has it', function (): void {
    $ics = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//EN\r\nBEGIN:VEVENT\r\nUID:a@x\r\nSUMMARY:Tide-pool week\r\nDTSTART;VALUE=DATE:20270510\r\nDTEND;VALUE=DATE:20270515\r\nRRULE:FREQ=YEARLY\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:b@x\r\nSUMMARY:Kite day\\, late\r\nDTSTART:20270704T090000Z\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:c@x\r\nDTSTART;VALUE=DATE:20270101\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:d@x\r\nSUMMARY:Odd\r\nDTSTART;VALUE=DATE:20270101\r\nRRULE:FREQ=NEVER\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    $take = fn (string $text) => $this->post('/api/calendar/file', ['file' => UploadedFile::fake()->createWithContent('events.ics', $text)], ['Accept' => 'application/json']);
    expect($take($ics)->assertOk()->json())->toMatchArray(['taken' => 2, 'known' => 0])->and($take($ics)->json())->toMatchArray(['taken' => 0, 'known' => 2])->and($take($ics)->json('problems'))->toBe(['"" has no name or no day.', '"Odd" comes again by a rule that is not understood.']);
    $take('no calendar')->assertJsonValidationErrors('file');
    $out = Reader::read((string) $this->get('/api/calendar/file.ics')->assertOk()->getContent());
    expect($out->validate())->toBe([])->and(array_map(fn ($event): string => (string) $event->SUMMARY, iterator_to_array($out->VEVENT, false)))->toBe(['Tide-pool week', 'Kite day, late'])->and((string) $out->VEVENT[0]->RRULE)->toBe('FREQ=YEARLY')->and((string) $out->VEVENT[0]->DTEND)->toBe('20270515');
});

it('plans from events back, says what cannot be met and what to drop', function (): void {
    settings($this);
    $kite = planned($this, 'Kite day', '2027-02-01', 2);
    $series = planned($this, 'Family names', '2027-02-10', 40);
    planned($this, 'Moth night', '2027-03-15', 2);
    $page = $this->getJson('/api/calendar')->json();
    $cards = collect($page['plan'])->keyBy('title');
    expect($cards['Kite day'])->toMatchArray(['listBy' => '2027-01-04', 'designBy' => '2026-12-28', 'gatherBy' => '2026-12-21', 'ends' => '2026-12-03', 'late' => false, 'drop' => false])->and($cards['Family names'])->toMatchArray(['late' => true, 'drop' => true])->and($cards['Moth night'])->toMatchArray(['late' => true, 'drop' => false])
        ->and($page['weeks'][0])->toMatchArray(['monday' => '2026-11-23', 'designs' => 1])->and($page)->toMatchArray(['aWeek' => 2, 'isSaid' => true]);
    $this->putJson("/api/plan/$series", ['title' => 'Family names', 'on' => '2027-02-10', 'designs' => 40, 'listWeeks' => 4, 'dropped' => true])->assertNoContent();
    expect(collect($this->getJson('/api/calendar')->json('plan'))->where('late', true)->all())->toBe([]);
    $this->deleteJson("/api/plan/$kite")->assertNoContent();
    $other = Shop::query()->create(['name' => 'Rangers']);
    $this->postJson('/api/plan', ['title' => 'x', 'on' => '2027-01-01', 'designs' => 1, 'listWeeks' => 4, 'job' => 999])->assertJsonValidationErrors('job');
    $this->postJson('/api/plan', ['title' => 'x', 'on' => '2027-13-01', 'designs' => 0, 'listWeeks' => 4])->assertJsonValidationErrors(['on', 'designs']);
    expect(PlannedWork::query()->where('shop_id', $other->id)->count())->toBe(0);
});

it('says at which field of a plan something is missing, by its name on the screen', function (): void {
    $this->postJson('/api/plan', ['title' => 'Bell mugs', 'event' => '', 'on' => '2027-03-04', 'designs' => null, 'listWeeks' => 99, 'job' => null])->assertUnprocessable()
        ->assertJsonPath('errors.designs', ['Fill in "Designs".'])->assertJsonPath('errors.listWeeks', ['"Weeks listed before" runs from 0 to 52.']);
});

it('keeps how much longer a house takes, beside the weeks of each kind', function (): void {
    $house = (int) $this->postJson('/api/houses', ['house' => (string) json_encode(['format' => 'tallcrow.house/1', 'name' => 'Bramble Market', 'names' => '{title}', 'places' => [['product' => 'Tee', 'place' => 'Front', 'area' => ['width' => 600, 'height' => 800, 'ppi' => 100], 'least' => 50]]])])->assertCreated()->json('id');
    expect(settings($this)['houses'])->toBe([['house' => $house, 'name' => 'Bramble Market', 'weeks' => 0]])
        ->and(settings($this, ['ahead' => [$house => 3]])['houses'][0]['weeks'])->toBe(3)->and($this->getJson('/api/calendar')->json('houses.0.weeks'))->toBe(3);
    $this->putJson('/api/calendar/settings', ['countries' => [], 'lead' => [], 'design' => 1, 'gather' => 1, 'aWeek' => null, 'ahead' => [$house => 99]])->assertJsonValidationErrors('ahead.'.$house);
});

it('learns from the log how much is done in a week', function (): void {
    settings($this, ['aWeek' => null]);
    $job = $this->job();
    foreach (range(1, 24) as $i) {
        LogEntry::query()->create(['shop_id' => $this->shop->id, 'title' => "Design $i", 'job_id' => $job->id, 'file' => "$i.png", 'sha256' => '', 'width' => 1, 'height' => 1, 'ppi' => 1, 'bytes' => 1, 'checks' => ['fail' => 0, 'warn' => 0, 'pass' => 0], 'at' => now()->subDays($i)]);
    }
    expect($this->getJson('/api/calendar')->json())->toMatchArray(['aWeek' => 2, 'logged' => 2, 'isSaid' => false, 'hours' => [['stage' => 'gather', 'hours' => 0], ['stage' => 'draw', 'hours' => 0], ['stage' => 'send', 'hours' => 0]]]);
});

it('says what is to do today, in a feed whose address can be changed', function (): void {
    settings($this);
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2)], 'Kite day');
    planned($this, 'Late fair', '2026-12-10');
    planned($this, 'Kite day', '2027-01-08', 1, ['job' => $job->id]);
    planned($this, 'Far away', '2027-06-01');
    expect(array_column($this->getJson('/api/today')->json(), 'says'))->toBe(['Late fair should have been listed', 'Draw Kite day']);
    // Listed: nothing is to do before its day, its listing after it.
    $this->postJson("/api/jobs/{$job->id}/noted", ['event' => 'listed', 'where' => 'Bramble Market', 'address' => 'https://market.example/kite', 'on' => '2026-11-20'])->assertCreated();
    expect(array_column($this->getJson('/api/today')->json(), 'says'))->toBe(['Late fair should have been listed']);
    $this->travelTo('2027-01-15');
    expect(array_column($this->getJson('/api/today')->json(), 'says'))->toContain('Kite day is over: take its listing down, or renew it');
    $this->travelTo('2026-11-26 10:00:00');

    $feed = $this->putJson('/api/calendar/feed', ['on' => true])->json('feed');
    $read = Reader::read((string) $this->get($feed)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=UTF-8')->getContent());
    expect($read->validate())->toBe([])->and(array_map(fn ($event): string => (string) $event->SUMMARY, iterator_to_array($read->VEVENT, false)))->toContain('List Far away', 'Late fair should have been listed');
    $this->putJson('/api/calendar/feed', ['on' => true])->assertOk();
    $this->get($feed)->assertNotFound();
    $this->get('/calendar/'.str_repeat('0', 48).'.ics')->assertNotFound();
    $this->get('/calendar/x.ics')->assertNotFound();
});

it('keeps ideas, and makes a job of one with its words on the sheet', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $idea = $this->postJson('/api/ideas', ['words' => 'Moths prefer the lantern', 'event' => 'own-1', 'niche' => 'night people', 'inspiredBy' => 'an old poster'])->assertCreated()->json();
    $this->postJson('/api/ideas', ['words' => ''])->assertJsonValidationErrors('words');
    $this->postJson('/api/ideas', ['words' => 'x', 'link' => 'javascript:alert(1)', 'asset' => 999])->assertJsonValidationErrors(['link', 'asset']);
    // A picture and a link alone are an idea, too.
    $this->shelve('moth.svg');
    $moth = (int) $this->shop->assets()->where('file', 'moth.svg')->value('id');
    $seen = $this->postJson('/api/ideas', ['words' => '', 'link' => 'https://example.org/moths', 'asset' => $moth])->assertCreated()->assertJson(['link' => 'https://example.org/moths', 'asset' => $moth])->json('id');
    $laid = $this->getJson('/api/jobs/'.$this->postJson("/api/ideas/$seen/job")->assertCreated()->json('job'))->json('artwork');
    expect(array_column(array_column($laid['layers'], 'source'), 'file'))->toBe(['moth.svg'])->and($laid['title'])->not->toBe('');
    $this->deleteJson("/api/ideas/$seen")->assertNoContent();
    $job = $this->postJson("/api/ideas/{$idea['id']}/job")->assertCreated()->json('job');
    $sheet = $this->getJson("/api/jobs/$job")->assertOk()->json();
    expect($sheet['title'])->toBe('Moths prefer the lantern')->and($sheet['artwork']['layers'][0]['source']['text'])->toBe('Moths prefer the lantern');
    $this->deleteJson("/api/ideas/{$idea['id']}")->assertNoContent();
    expect($this->getJson('/api/ideas')->json())->toBe([]);
});

it('lays this year\'s shirts beside last year\'s, by design, event, cloth and house', function (): void {
    [$kite, $moth] = [$this->job([], 'Kite day'), $this->job([], 'Moth night')];
    planned($this, 'Kite day', '2027-01-08', 1, ['job' => $kite->id, 'event' => 'own-3']);
    // Twelve minutes of work on the moth after the two were begun.
    $this->travel(12)->minutes();
    $this->postJson("/api/jobs/{$moth->id}/operations", ['version' => $moth->version, 'operations' => [['op' => 'name-colour', 'colour' => '#b04a2c', 'name' => 'Rust']]])->assertOk();
    $sell = fn ($job, int $units, string $on, array $more = []) => $this->postJson("/api/jobs/{$job->id}/sales", $more + ['units' => $units, 'on' => $on])->assertCreated();
    $sell($kite, 5, '2026-03-01', ['cloth' => 'Slate', 'house' => 'Mill Lane']);
    $sell($kite, 2, '2025-03-01', ['cloth' => 'Oat']);
    $sell($moth, 9, '2026-05-01', ['cloth' => 'Slate']);
    $sell($moth, 1, '2024-05-01');
    $lines = collect($this->getJson('/api/results?year=2026')->json());
    expect($lines->where('by', 'design')->values()->all())->toBe([['by' => 'design', 'name' => 'Moth night', 'thisYear' => 9, 'lastYear' => 0, 'hours' => 0.2], ['by' => 'design', 'name' => 'Kite day', 'thisYear' => 5, 'lastYear' => 2, 'hours' => 0]])
        ->and($lines->where('by', 'cloth')->pluck('thisYear', 'name')->all())->toBe(['Slate' => 14, 'Oat' => 0])->and($lines->where('by', 'event')->pluck('thisYear', 'name')->all())->toBe(['own-3' => 5])->and($lines->where('by', 'house')->pluck('thisYear', 'name')->all())->toBe(['Mill Lane' => 5])->and(Sale::query()->count())->toBe(4);
});
