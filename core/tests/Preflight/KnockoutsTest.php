<?php

declare(strict_types=1);

use TallCrow\Preflight\Knockouts;
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
    expect($sheet(1.0))->toBe([])->and($sheet(2.5)['knockout:w']->figure)->toBe('takes nothing')->and($sheet(2.5)['knockout:w']->mends)->toHaveCount(1);
});
