<?php

declare(strict_types=1);

use TallCrow\Preflight\Knockouts;
use TallCrow\Preflight\Mend;
use TallCrow\Preflight\Verdict;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

it('tells to the nearest hundredth how much of knocked out words lies on ink', function (float $right): void {
    $words = Fixtures::words('w', 'MOTH', 1.6);
    $plate = ink_slab('plate', 0.2, 0.5, $right, 3.5);
    $found = gauged(new Knockouts, Fixtures::artwork([$plate, ['role' => ['kind' => 'knockout', 'gap' => 0.0]] + $words]))['knockout:w'];
    // By another way: what the plate covers of the words in ink.
    [$ink, $ground] = [Fixtures::render(Fixtures::artwork([$words]), 50)->alpha(), Fixtures::render(Fixtures::artwork([$plate]), 50)->alpha()];
    $share = 100 * $ink->times($ground)->area() / $ink->area();
    expect($found->verdict)->toBe(Verdict::Warn)->and((float) $found->figure)->toEqualWithDelta($share, 0.51)
        ->and($found->limit)->toBe('90 %')
        ->and($found->says)->toStartWith(sprintf('%d %% of MOTH', 100 - (int) $found->figure));
})->with([1.0, 1.23, 1.37, 1.62, 1.81, 1.93]);

it('says nothing of words that lie on ink, and that those off it take nothing', function (): void {
    $sheet = fn (float $x): array => gauged(new Knockouts, Fixtures::artwork([ink_slab('plate', 0.2, 0.5, 2.0, 3.5), Fixtures::words('w', 'MOTH', 0.6, ['placement' => ['x' => $x], 'role' => ['kind' => 'knockout', 'gap' => 0.0]])]));
    expect($sheet(1.0))->toBe([])->and($sheet(2.5)['knockout:w']->figure)->toBe('takes nothing')->and($sheet(2.5)['knockout:w']->mends)->toHaveCount(2);
});

it('moves words that are knocked out the shortest way onto ink that holds them, and nowhere else', function (array $below, float $x, ?array $to): void {
    $words = Fixtures::words('w', 'MOTH', 0.6, ['placement' => ['x' => $x, 'y' => 2.0], 'role' => ['kind' => 'knockout', 'gap' => 0.0]]);
    $artwork = Fixtures::artwork([...$below, $words]);
    $mends = array_values(array_filter(gauged(new Knockouts, $artwork)['knockout:w']->mends, fn (Mend $mend): bool => str_starts_with($mend->says, 'Move')));
    expect($mends)->toHaveCount($to === null ? 0 : 1);
    if ($to !== null) {
        $moved = Fixtures::edited($artwork, ...$mends[0]->operations);
        expect(gauged(new Knockouts, $moved))->toBe([])->and([$moved->layers[count($below)]->placement->x, $moved->layers[count($below)]->placement->y])->toEqualWithDelta($to, 0.01);
    }
})->with([
    'half off a plate' => [[ink_slab('plate', 0.2, 0.5, 2.0, 3.5)], 2.0, [1.6, 2.0]],
    'off it' => [[ink_slab('plate', 0.2, 0.5, 2.0, 3.5)], 2.6, [1.6, 2.0]],
    'the nearer of two' => [[ink_slab('far', 0.1, 0.5, 0.9, 3.5), ink_slab('near', 1.1, 0.5, 1.9, 3.5)], 2.6, [1.5, 2.0]],
    'off a disc, to its middle' => [[Fixtures::shape('disc', 'ellipse', 0.8, more: ['placement' => ['x' => 0.6, 'y' => 1.0]])], 2.0, [0.6, 1.0]],
    'off what is too small' => [[ink_slab('bar', 0.2, 0.5, 0.5, 3.5)], 2.0, null],
]);

it('sets words that are knocked out smaller where the ink holds them no other way, as large as the piece on which they stay the largest allows', function (array $below, int $on): void {
    $words = Fixtures::words('w', 'MOTH', 1.6, ['role' => ['kind' => 'knockout', 'gap' => 0.0]]);
    $artwork = Fixtures::artwork([...$below, $words]);
    $mends = array_values(array_filter(gauged(new Knockouts, $artwork)['knockout:w']->mends, fn (Mend $mend): bool => str_starts_with($mend->says, 'Set')));
    expect($mends)->toHaveCount(1);
    $mended = Fixtures::edited($artwork, ...$mends[0]->operations);
    [$box, $plate] = [Fixtures::renderer()->placer->box($mended->layers[count($below)]), Fixtures::renderer()->placer->box($mended->layers[$on])];
    expect(gauged(new Knockouts, $mended))->toBe([])
        ->and($box->union($plate))->toEqual($plate)
        // A tenth of an inch of ink about them, and whole hundredths.
        ->and($plate->width() - $box->width())->toBeGreaterThanOrEqual(0.2)->toBeLessThan(0.2 + 0.016)
        ->and($mends[0]->says)->toBe(sprintf('Set MOTH %d %% smaller, on the ink', round(100 * (1 - $box->width() / 1.6))));
})->with([
    'a plate' => [[ink_slab('plate', 0.9, 0.5, 2.1, 3.5)], 0],
    'the wider of two' => [[ink_slab('narrow', 0.1, 0.5, 1.2, 3.5), ink_slab('wide', 1.4, 0.5, 2.7, 3.5)], 1],
]);
