<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;
use TallCrow\Calendar\Day;
use TallCrow\Calendar\DayRule;
use TallCrow\Calendar\Easter;
use TallCrow\Calendar\Moon;
use TallCrow\Calendar\Observance;
use TallCrow\Calendar\Plan;
use TallCrow\Calendar\PlanItem;

it('reckons Easter as PHP\'s own calendar functions do, and as published', function (): void {
    foreach (range(1900, 2100) as $year) {
        // easter_days(): days after 21 March.
        expect(Easter::of($year)->format('Y-m-d'))->toBe(Day::on($year, 3, 21)->modify('+'.easter_days($year).' days')->format('Y-m-d'));
    }
    // Tables of the churches; from memory.
    expect(array_map(fn (int $year): string => Easter::of($year)->format('m-d'), [2008, 2011, 2024, 2025, 2026, 2038]))->toBe(['03-23', '04-24', '03-31', '04-20', '04-05', '04-25']);
});

it('finds full and new moons on their published days', function (): void {
    // Almanacs, universal time; from memory.
    $days = fn (int $year, bool $full): array => array_map(fn (DateTimeImmutable $day): string => $day->format('m-d'), Moon::days($year, $full));
    expect($days(2024, true))->toBe(['01-25', '02-24', '03-25', '04-23', '05-23', '06-22', '07-21', '08-19', '09-18', '10-17', '11-15', '12-15'])
        ->and($days(2024, false))->toBe(['01-11', '02-09', '03-10', '04-08', '05-08', '06-06', '07-05', '08-04', '09-03', '10-02', '11-01', '12-01', '12-30'])->and($days(2025, true))->toContain('01-13', '09-07', '12-04');
});

it('finds the day that a rule names', function (array $rule, int $year, ?string $day): void {
    $faults = new Faults;
    $read = DayRule::read(Node::root($rule, $faults));
    $faults->settle();
    expect($read->in($year)?->format('Y-m-d'))->toBe($day)->and(DayRule::read(Node::root($read->toArray(), new Faults)))->toEqual($read);
})->with([
    'fixed' => [['month' => 7, 'day' => 4], 2026, '2026-07-04'], 'fourth Thursday' => [['month' => 11, 'weekday' => 4, 'nth' => 4], 2026, '2026-11-26'], 'second Sunday' => [['month' => 5, 'weekday' => 7, 'nth' => 2], 2026, '2026-05-10'],
    'last Monday' => [['month' => 5, 'weekday' => 1, 'nth' => -1], 2026, '2026-05-25'], 'the Sunday after the first Monday' => [['month' => 9, 'weekday' => 1, 'nth' => 1, 'plus' => 6], 2025, '2025-09-07'], 'before Easter' => [['easter' => -47], 2025, '2025-03-04'],
    'leap day' => [['month' => 2, 'day' => 29], 2027, null], 'no fifth Friday' => [['month' => 2, 'weekday' => 5, 'nth' => 5], 2026, null], 'moon' => [['month' => 9, 'moon' => 'full'], 2024, '2024-09-18'],
]);

it('refuses a rule that names no day', function (array $rule): void {
    $faults = new Faults;
    DayRule::read(Node::root($rule, $faults));
    expect(fn () => $faults->settle())->toThrow(ArtworkInvalid::class);
})->with([[['month' => 5]], [[]], [['month' => 13, 'day' => 1]], [['month' => 3, 'moon' => 'half']]]);

it('ships observances that are readable, each with a day in every year', function (): void {
    $all = Observance::all();
    expect(count($all))->toBeGreaterThan(45)->and($all['pride-month']->caution)->toContain('Check before use');
    foreach ($all as $slug => $one) {
        foreach ([2026, 2027, 2028] as $year) {
            expect($one->rule->in($year))->not->toBeNull($slug);
        }
    }
    expect($all['thanksgiving']->rule->in(2027)?->format('m-d'))->toBe('11-25')->and($all['mothering-sunday']->rule->in(2026)?->format('m-d'))->toBe('03-15')->and($all['memorial-day']->rule->in(2027)?->format('m-d'))->toBe('05-31');
});

it('plans in the order of days and drops as few as can be', function (): void {
    $today = Day::on(2026, 1, 5);
    $item = fn (string $id, int $designs, int $week): PlanItem => new PlanItem($id, $designs, $today->modify("+$week weeks"));
    // Two a week: a and b fit, the series c does not, and d comes late behind it.
    $plan = Plan::of([$item('a', 2, 1), $item('d', 2, 5), $item('c', 12, 4), $item('b', 2, 2)], 2.0, $today);
    expect($plan->late)->toBe(['c', 'd'])->and($plan->drop)->toBe(['c'])->and($plan->ends['a']->format('Y-m-d'))->toBe('2026-01-12')->and($plan->weeks['2026-01-05'])->toBe(2)->and(array_sum($plan->weeks))->toBe(18);
    expect(Plan::of([$item('a', 2, 1), $item('b', 2, 2), $item('d', 2, 5)], 2.0, $today))->late->toBe([])->drop->toBe([]);
});

it('drops as few as trying every choice does', function (int $seed): void {
    $random = new Random\Randomizer(new Random\Engine\Xoshiro256StarStar($seed));
    $today = Day::on(2026, 1, 5);
    $items = array_map(fn (int $i): PlanItem => new PlanItem("i$i", $random->getInt(1, 6), $today->modify('+'.$random->getInt(1, 8).' weeks')), range(1, 8));
    $fewest = 8;
    for ($mask = 0; $mask < 256; $mask++) {
        $kept = array_values(array_filter($items, fn (PlanItem $item): bool => ($mask >> ((int) substr($item->id, 1) - 1) & 1) === 1));
        if (Plan::of($kept, 3.0, $today)->late === []) {
            $fewest = min($fewest, 8 - count($kept));
        }
    }
    expect(count(Plan::of($items, 3.0, $today)->drop))->toBe($fewest);
})->with(range(1, 6));

it('ends work on the day after which nothing is left, and takes a job that is just in time as in time', function (): void {
    $today = Day::on(2026, 1, 5);
    $end = fn (int $designs, float $aWeek): string => Plan::of([new PlanItem('a', $designs, $today)], $aWeek, $today)->ends['a']->format('Y-m-d');
    // Seven a week are one a day; three in a week of six are three and a half days, told as four.
    expect($end(7, 7.0))->toBe('2026-01-12')->and($end(1, 7.0))->toBe('2026-01-06')->and($end(3, 6.0))->toBe('2026-01-09')->and($end(1, 6.0))->toBe('2026-01-07')->and($end(8, 7.0))->toBe('2026-01-13');
    $just = Plan::of([new PlanItem('a', 7, $today->modify('+7 days')), new PlanItem('b', 7, $today->modify('+14 days'))], 7.0, $today);
    expect($just->late)->toBe([])->and($just->drop)->toBe([]);
    // Of two that don't both fit, the one with more designs goes; of two alike, the first.
    $two = fn (int $a, int $b): array => Plan::of([new PlanItem('a', $a, $today->modify('+6 days')), new PlanItem('b', $b, $today->modify('+6 days'))], 7.0, $today)->drop;
    expect($two(5, 3))->toBe(['a'])->and($two(3, 5))->toBe(['b'])->and($two(4, 4))->toBe(['a'])->and($two(3, 3))->toBe([]);
});

it('counts weeks from Mondays, each design in the week in which the day begins on which those before it are done', function (): void {
    // A Thursday; four a week.
    $plan = Plan::of([new PlanItem('a', 5, Day::on(2026, 6, 1))], 4.0, Day::on(2026, 1, 8));
    expect($plan->weeks)->toBe(['2026-01-05' => 2, '2026-01-12' => 3]);
});

it('finds the nth weekday of a month, from its beginning and its end', function (int $weekday, int $nth, ?string $day): void {
    $faults = new Faults;
    $rule = DayRule::read(Node::root(['month' => 8, 'weekday' => $weekday, 'nth' => $nth], $faults));
    expect($rule->in(2026)?->format('m-d'))->toBe($day);
})->with([
    // August 2026 begins on a Saturday and has 31 days.
    [6, 1, '08-01'], [7, 1, '08-02'], [5, 1, '08-07'], [6, 5, '08-29'], [1, 5, '08-31'], [2, 5, null], [1, -1, '08-31'], [2, -1, '08-25'], [1, -5, '08-03'], [6, -5, '08-01'], [2, -5, null],
]);
