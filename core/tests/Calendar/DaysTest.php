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
    $days = fn (int $year, bool $full): array => array_map(fn (DateTimeImmutable $day): string => $day->format('m-d'), Moon::moments($year, $full));
    expect($days(2024, true))->toBe(['01-25', '02-24', '03-25', '04-23', '05-23', '06-22', '07-21', '08-19', '09-18', '10-17', '11-15', '12-15'])
        ->and($days(2024, false))->toBe(['01-11', '02-09', '03-10', '04-08', '05-08', '06-06', '07-05', '08-04', '09-03', '10-02', '11-01', '12-01', '12-30'])->and($days(2025, true))->toContain('01-13', '09-07', '12-04');
});

it('finds the days that a rule names', function (array $rule, int $year, string|array|null $day): void {
    $faults = new Faults;
    $read = DayRule::read(Node::root($rule, $faults));
    $faults->settle();
    expect(array_map(fn (DateTimeImmutable $one): string => $one->format('Y-m-d'), $read->in($year)))->toBe((array) $day);
})->with([
    'fixed' => [['month' => 7, 'day' => 4], 2026, '2026-07-04'], 'fourth Thursday' => [['month' => 11, 'weekday' => 4, 'nth' => 4], 2026, '2026-11-26'], 'second Sunday' => [['month' => 5, 'weekday' => 7, 'nth' => 2], 2026, '2026-05-10'],
    'last Monday' => [['month' => 5, 'weekday' => 1, 'nth' => -1], 2026, '2026-05-25'], 'the Sunday after the first Monday' => [['month' => 9, 'weekday' => 1, 'nth' => 1, 'plus' => 6], 2025, '2025-09-07'], 'before Easter' => [['easter' => -47], 2025, '2025-03-04'],
    'leap day' => [['month' => 2, 'day' => 29], 2027, null], 'no fifth Friday' => [['month' => 2, 'weekday' => 5, 'nth' => 5], 2026, null], 'moon' => [['month' => 9, 'moon' => 'full'], 2024, '2024-09-18'],
    'the first of two full moons' => [['month' => 8, 'moon' => 'full'], 2023, '2023-08-01'], 'no full moon in February' => [['month' => 2, 'moon' => 'full'], 2018, null], 'by another clock' => [['month' => 8, 'moon' => 'full', 'hours' => 8], 2023, '2023-08-02'],
    'a moment of the year before' => [['month' => 1, 'moon' => 'full', 'hours' => 8], 2029, '2029-01-01'], 'not by our clock' => [['month' => 1, 'moon' => 'full'], 2029, '2029-01-30'],
    'the last of two new moons' => [['month' => 10, 'day' => 16, 'moon' => 'new', 'within' => 30, 'hours' => -13], 2020, '2020-11-14'], 'one that is alone' => [['month' => 10, 'day' => 16, 'moon' => 'new', 'within' => 30], 2020, '2020-10-16'], 'one of another calendar' => [['calendar' => 'hebrew', 'month' => 3, 'day' => 25, 'plus' => -1], 2026, '2026-12-04'],
    'twice in a year' => [['calendar' => 'islamic', 'month' => 9, 'day' => 1], 2030, ['2030-01-05', '2030-12-26']], 'a month that is too short' => [['calendar' => 'hebrew', 'month' => 4, 'day' => 30], 2026, null], 'a leap month that is not' => [['calendar' => 'hebrew', 'month' => 6, 'day' => 1], 2026, null],
]);

it('refuses a rule that names no day', function (array $rule): void {
    $faults = new Faults;
    DayRule::read(Node::root($rule, $faults));
    expect(fn () => $faults->settle())->toThrow(ArtworkInvalid::class);
})->with([[['month' => 5]], [[]], [['month' => 13, 'day' => 1]], [['month' => 3, 'moon' => 'half']], [['calendar' => 'martian', 'month' => 1, 'day' => 1]], [['calendar' => 'hebrew', 'month' => 1]], [['month' => 13, 'moon' => 'new']], [['day' => 3]]]);

it('ships observances that are readable, each with a day in every year', function (): void {
    $all = Observance::all();
    $first = fn (string $slug, int $year): ?string => ($all[$slug]->rule->in($year)[0] ?? null)?->format('m-d');
    expect(count($all))->toBeGreaterThan(90)->and($all['pride-month']->caution)->toContain('Check before use')->and($all['breast-cancer-month']->ribbon)->toBe('pink')->and(Observance::countries())->toContain('US', 'MX', 'NZ');
    foreach ($all as $slug => $one) {
        foreach ([2026, 2027, 2028] as $year) {
            expect($one->rule->in($year))->not->toBe([], $slug);
        }
    }
    expect($first('thanksgiving', 2027))->toBe('11-25')->and($first('mothering-sunday', 2026))->toBe('03-15')->and($first('memorial-day', 2027))->toBe('05-31');
    // The first full week of May, the Sunday nearest St Andrew's, the day after Thanksgiving: from memory.
    expect(array_map(fn (int $year): ?string => $first('teachers-week', $year), [2023, 2025, 2026]))->toBe(['05-08', '05-05', '05-04'])
        ->and(array_map(fn (int $year): ?string => $first('advent', $year), [2022, 2023, 2024, 2025]))->toBe(['11-27', '12-03', '12-01', '11-30'])->and($first('black-friday', 2024))->toBe('11-29');
});

// Days as they were kept or are published; from memory.
it('finds the feasts of other calendars on their days', function (string $slug, array $days): void {
    $found = fn (int $year): string => implode(' ', array_map(fn (DateTimeImmutable $day): string => $day->format('m-d'), Observance::all()[$slug]->rule->in($year)));
    expect(array_map($found, array_keys($days)))->toBe(array_values($days));
})->with([
    ['hanukkah', [2023 => '12-08', 2024 => '12-26', 2025 => '12-15', 2026 => '12-05']], ['rosh-hashanah', [2023 => '09-16', 2024 => '10-03', 2025 => '09-23']], ['passover', [2023 => '04-06', 2024 => '04-23', 2025 => '04-13']], ['purim', [2023 => '03-07', 2024 => '03-24', 2025 => '03-14']],
    ['ramadan', [2024 => '03-11', 2025 => '03-01', 2026 => '02-18']], ['eid-al-fitr', [2024 => '04-10', 2025 => '03-30', 2026 => '03-20']], ['eid-al-adha', [2024 => '06-16', 2025 => '06-06', 2026 => '05-27']],
    ['lunar-new-year', [2020 => '01-25', 2022 => '02-01', 2023 => '01-22', 2024 => '02-10', 2025 => '01-29', 2026 => '02-17']],
    ['diwali', [2018 => '11-07', 2019 => '10-27', 2020 => '11-14', 2021 => '11-04', 2022 => '10-24', 2023 => '11-12', 2024 => '10-31', 2025 => '10-20', 2026 => '11-08']],
]);

it('reckons Hebrew days as ICU does', function (): void {
    $icu = IntlCalendar::createInstance('UTC', 'en@calendar=hebrew') ?? throw new LogicException('No calendar.');
    // From 5806 on, ICU 72 begins some years a day late: 5807 on 2 October 2046, by Dershowitz and Reingold's Calendrical Calculations on the 1st.
    foreach (range(1950, 2044) as $year) {
        foreach ([[1, 1], [3, 25], [7, 14], [8, 15]] as [$month, $day]) {
            $found = DayRule::read(Node::root(['calendar' => 'hebrew', 'month' => $month, 'day' => $day], new Faults))->in($year);
            expect($found)->toHaveCount(1);
            $icu->setTime(1000.0 * $found[0]->getTimestamp());
            expect([$icu->get(IntlCalendar::FIELD_MONTH) + 1, $icu->get(IntlCalendar::FIELD_DAY_OF_MONTH)])->toBe([$month, $day]);
        }
    }
    expect(Observance::all()['rosh-hashanah']->rule->in(2046)[0]->format('m-d'))->toBe('10-01');
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
    expect(($rule->in(2026)[0] ?? null)?->format('m-d'))->toBe($day);
})->with([
    // August 2026 begins on a Saturday and has 31 days.
    [6, 1, '08-01'], [7, 1, '08-02'], [5, 1, '08-07'], [6, 5, '08-29'], [1, 5, '08-31'], [2, 5, null], [1, -1, '08-31'], [2, -1, '08-25'], [1, -5, '08-03'], [6, -5, '08-01'], [2, -5, null],
]);
