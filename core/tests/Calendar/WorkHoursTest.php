<?php

declare(strict_types=1);

use TallCrow\Calendar\Act;
use TallCrow\Calendar\WorkHours;
use TallCrow\Calendar\WorkStage;

/** @param  list<array{int, int, WorkStage, ?int}>  $acts  who, minutes, stage, design */
function hours_of(array $acts): WorkHours
{
    return WorkHours::of(array_map(fn (array $act): Act => new Act($act[0], 1_000_000_000 + $act[1] * 60, $act[2], $act[3]), $acts));
}

it('counts the time from one trace to the next, and a few minutes after a rest', function (): void {
    // By hand: 5 (first) + 10 + 15 minutes on design 7, of which the last to send it.
    $hours = hours_of([[1, 0, WorkStage::Draw, 7], [1, 10, WorkStage::Draw, 7], [1, 25, WorkStage::Send, 7]]);
    expect($hours->byStage)->toEqualWithDelta(['gather' => 0.0, 'draw' => 15 / 60, 'send' => 15 / 60], 1e-9)->and($hours->byDesign)->toEqualWithDelta([7 => 0.5], 1e-9);
    // A minute more than a quarter of an hour is a rest.
    expect(hours_of([[1, 0, WorkStage::Draw, 7], [1, 16, WorkStage::Draw, 7]])->byDesign[7])->toEqualWithDelta(10 / 60, 1e-9)
        ->and(hours_of([[1, 0, WorkStage::Draw, 7], [1, 15, WorkStage::Draw, 7]])->byDesign[7])->toEqualWithDelta(20 / 60, 1e-9);
});

it('keeps people and designs apart, takes traces in any order, and counts what serves all by its stage alone', function (): void {
    $acts = [[1, 0, WorkStage::Draw, 7], [2, 3, WorkStage::Draw, 8], [1, 6, WorkStage::Draw, 8], [0, 4, WorkStage::Gather, null], [0, 9, WorkStage::Gather, null]];
    $hours = hours_of($acts);
    expect($hours->byDesign)->toEqualWithDelta([7 => 5 / 60, 8 => 11 / 60], 1e-9)->and($hours->byStage['gather'])->toEqualWithDelta(10 / 60, 1e-9)
        ->and(hours_of(array_reverse($acts)))->toEqual($hours)->and(hours_of([])->byDesign)->toBe([]);
});

it('counts files that are made at once as one act', function (): void {
    expect(hours_of(array_map(fn (int $i): array => [1, 0, WorkStage::Send, $i], range(1, 500)))->byStage['send'])->toEqualWithDelta(5 / 60, 1e-9);
});
