<?php

declare(strict_types=1);

use TallCrow\Preflight\ReadingWay;
use TallCrow\Preflight\Verdict;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/** @return array<string, mixed> */
function standing_words(array $placement, array $effects = [], string $text = 'KITE DAY', string $id = 'w'): array
{
    return Fixtures::words($id, $text, 2.0, ['placement' => $placement, 'effects' => $effects]);
}

it('tells of words that are mirrored or stand on their heads, and sets them right as if they never had been', function (string $flip, float $turn, string $how): void {
    $artwork = Fixtures::artwork([standing_words(['flip' => $flip, 'turn' => $turn])]);
    $found = gauged(new ReadingWay, $artwork)['reads:w'];
    expect($found->figure)->toBe($how)->and($found->verdict)->toBe(Verdict::Warn)->and($found->mends)->toHaveCount(1);
    $mended = Fixtures::edited($artwork, ...$found->mends[0]->operations);
    // Seen, not reckoned: as words that were turned that far alone, by less than a quarter.
    $stands = $mended->layers[0]->placement;
    $right = Fixtures::artwork([standing_words(['x' => $stands->x, 'y' => $stands->y, 'turn' => $stands->turn - 180 * round($stands->turn / 180)])]);
    expect(gauged(new ReadingWay, $mended))->toBe([])
        ->and(Fixtures::render($mended, 60)->alpha()->minus(Fixtures::render($right, 60)->alpha())->range())->each->toBeBetween(-2.0, 2.0);
})->with([
    'across' => ['across', 0.0, 'mirrored'],
    'down' => ['down', 0.0, 'mirrored'],
    'across, turned' => ['across', 20.0, 'mirrored'],
    'across and down' => ['both', 0.0, 'on its head'],
    'half a turn' => ['none', 180.0, 'on its head'],
    'nearly half a turn' => ['none', 150.0, 'on its head'],
]);

it('says nothing of words that can be read', function (array ...$layers): void {
    expect(gauged(new ReadingWay, Fixtures::artwork(array_values($layers))))->toBe([]);
})->with([
    'as they are' => [standing_words([])],
    'up the sheet' => [standing_words(['turn' => -90.0])],
    'down the sheet' => [standing_words(['turn' => 90.0])],
    'half a turn and both flips' => [standing_words(['turn' => 180.0, 'flip' => 'both'])],
    'round a circle' => [standing_words([], [1 => ['kind' => 'circle']], 'QUARRY ROAD TIDE POOL RANGERS AND BELL RINGERS')],
    'shaken' => [standing_words([], [1 => ['kind' => 'jitter']])],
    'a reflection beneath them' => [standing_words(['y' => 1.0]), standing_words(['y' => 2.0, 'flip' => 'down'], id: 'v')],
]);

it('fails words that were laid and never written', function (): void {
    $found = gauged(new ReadingWay, Fixtures::artwork([standing_words([], text: 'YOUR WORDS')]));
    expect(array_keys($found))->toBe(['unwritten:w'])->and($found['unwritten:w']->verdict)->toBe(Verdict::Fail)
        ->and(gauged(new ReadingWay, Fixtures::artwork([standing_words([], text: 'YOUR WORDS HERE')])))->toBe([]);
});
