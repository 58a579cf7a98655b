<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Edit\Operations;
use TallCrow\Preflight\Covered;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\VanishingInk;
use TallCrow\Preflight\Verdict;
use TallCrow\Preflight\WornWords;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/** @return array<string, mixed> two lines of words about the middle of a sheet of 3 × 4 in, each half an inch high and more */
function two_lines(string $colour, array $more = []): array
{
    return Fixtures::words('w', "KITE\nROAD", 1.6, ['source' => ['leading' => 1.3], 'effects' => [['kind' => 'fill', 'colour' => $colour]], ...$more]);
}

/** @param  list<array<string, mixed>>  $effects  of a group that holds the words */
function in_group(array $words, array $effects, array $more = []): Artwork
{
    return Fixtures::artwork([ink_slab('plate', 0.2, 0.2, 2.8, 3.8, '#24506e'), ['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [$words]], 'effects' => $effects, ...$more]], ['garments' => [['name' => 'Oat', 'colour' => '#e4d8c0']]]);
}

it('finds the one line of words that lies on ink of its colour', function (float $bottom, ?string $says): void {
    $sheet = Fixtures::artwork([ink_slab('plate', 0.3, 0.2, 2.7, $bottom, '#f3ead7'), two_lines('#efe6d2')], ['garments' => [['name' => 'Slate', 'colour' => '#3d4a57']]]);
    $found = gauged(new Covered, $sheet)['sunk:w'] ?? null;
    if ($says === null) {
        expect($found)->toBeNull();

        return;
    }
    expect($found?->says)->toStartWith($says);
    $mended = Operations::apply($found->mends[0]->operations, $sheet, Fixtures::renderer()->placer)->artwork;
    expect(gauged(new Covered, $mended))->toBe([]);
})->with([[0.5, null], [2.0, 'KITE of KITE / ROAD is #efe6d2 on #f3ead7'], [3.8, 'KITE / ROAD is #efe6d2 on #f3ead7']]);

it('judges words in a group that is ringed as such, and by the ring of the group', function (array $effects, bool $isSunk): void {
    $found = gauged(new Covered, in_group(two_lines('#24506e'), $effects));
    expect(isset($found['sunk:w']))->toBe($isSunk);
})->with([
    'no line' => [[], true],
    'a ring like the ground' => [[['kind' => 'outline', 'width' => 0.06, 'colour' => '#2a5674']], true],
    'a ring that stands out' => [[['kind' => 'outline', 'width' => 0.06, 'colour' => '#f3ead7']], false],
    'a shadow like the ground' => [[['kind' => 'shadow', 'distance' => 0.1, 'colour' => '#24506e']], true],
]);

it('names such words where a cloth has their colour', function (string $ring, Verdict $verdict): void {
    $sheet = Fixtures::artwork([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [two_lines('#e4d8c0')]], 'effects' => [['kind' => 'outline', 'width' => 0.06, 'colour' => $ring]]]], ['garments' => [['name' => 'Oat', 'colour' => '#e4d8c0']]]);
    $found = gauged(new VanishingInk, $sheet)['vanish:Oat'];
    expect($found->verdict)->toBe($verdict)->and($found->layers)->toBe($verdict === Verdict::Fail ? ['w'] : []);
})->with([['#e4d8c0', Verdict::Fail], ['#1f1d1a', Verdict::Pass]]);

it('tells of their letters that a mask of the group takes, and not where the group is bent', function (array $effects, bool $isTold): void {
    $mask = ['masks' => [['kind' => 'rectangle', 'x' => 0.3, 'y' => 0.5, 'width' => 0.6, 'height' => 1.2]]];
    $found = array_filter(gauged(new WornWords, in_group(two_lines('#f3ead7'), $effects, $mask)), fn (Finding $finding): bool => $finding->verdict === Verdict::Fail);
    expect(array_keys($found))->toBe($isTold ? ['word:w:0', 'word:w:1'] : []);
})->with([[[], true], [[['kind' => 'outline', 'width' => 0.04, 'colour' => '#1f1d1a']], true], [[['kind' => 'arch', 'bend' => 0.3]], false]]);

it('takes nothing for gone of words that a group prints weakly', function (): void {
    $found = gauged(new WornWords, Fixtures::artwork([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [two_lines('#1f1d1a')]], 'opacity' => 0.3]], ['garments' => [['name' => 'White', 'colour' => '#ffffff']]]));
    expect(array_filter($found, fn (Finding $finding): bool => $finding->verdict === Verdict::Fail))->toBe([]);
});

it('offers to shield words only where the wear of the sheet is what takes them', function (array $own, bool $isOffered): void {
    $words = ['masks' => [], ...$own] + two_lines('#1f1d1a');
    $sheet = Fixtures::artwork([$words], ['garments' => [['name' => 'White', 'colour' => '#ffffff']], 'distress' => [['texture' => 'speckle', 'amount' => 0.6, 'seed' => 3]]]);
    $failed = array_filter(gauged(new WornWords, $sheet), fn (Finding $finding): bool => $finding->verdict === Verdict::Fail);
    expect($failed)->not->toBe([]);
    foreach ($failed as $finding) {
        expect(count($finding->mends))->toBe($isOffered ? 1 : 0, $finding->key);
    }
})->with([
    'nothing of its own' => [[], true],
    'a mask that cuts both words' => [['masks' => [['kind' => 'rectangle', 'x' => 0.3, 'y' => 0.5, 'width' => 0.5, 'height' => 1.2]]], false],
    'as much wear of its own' => [['distress' => [['texture' => 'speckle', 'amount' => 0.7, 'seed' => 9]]], false],
]);
