<?php

declare(strict_types=1);

use TallCrow\Preflight\Verdict;
use TallCrow\Preflight\WornKnockouts;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Tests\Fixtures;
use TallCrow\Texture\Wear;

require_once __DIR__.'/subjects.php';

/** @return list<array<string, mixed>> a worn plate with words knocked out of it */
function plate_with_words(float $worn, array $role = [], array $above = []): array
{
    return [
        ink_slab('plate', 0.1, 0.1, 2.9, 3.9, more: $worn > 0 ? ['distress' => [['texture' => 'speckle', 'amount' => $worn, 'seed' => 3]]] : []),
        Fixtures::words('w', 'MOTH NIGHT', 1.2, ['role' => ['kind' => 'knockout', 'gap' => 0.0] + $role]),
        ...$above,
    ];
}

it('tells of knocked out words whose surroundings are worn away, and mends them', function (float $own, array $sheet): void {
    $artwork = Fixtures::artwork(plate_with_words($own), ['distress' => $sheet]);
    $found = gauged(new WornKnockouts, $artwork)['knocked-out:w'];
    // By another way: the alpha of the print in a band about the words' ink, thickened by squares.
    $words = Fixtures::render(Fixtures::artwork([Fixtures::words('w', 'MOTH NIGHT', 1.2)]), 100)->alpha()->isMore(127.0);
    $band = Morphology::dilated($words, 7)->both($words->inverted())->settled();
    $gone = 100 * (1 - $band->both(Fixtures::render($artwork, 100)->alpha()->isMore(127.0))->area() / $band->area());
    expect($found->verdict)->toBe(Verdict::Fail)->and((float) $found->figure)->toBeGreaterThan($gone - 0.5)->and($gone)->toBeGreaterThan(30.0)
        ->and($found->layers)->toBe(['w'])->and($found->mends)->toHaveCount(1);

    $mended = Fixtures::edited($artwork, ...$found->mends[0]->operations);
    expect(array_map(fn (Wear $wear): float => $wear->amount, $mended->layers[0]->distress))->toBe($own > 0 ? [$own / 2] : [])
        ->and(gauged(new WornKnockouts, $mended)['knocked-out:w']->verdict ?? Verdict::Pass)->toBe(Verdict::Pass);
})->with([
    'the wear of the sheet' => [0.0, [['texture' => 'chipped-edges', 'amount' => 0.3, 'seed' => 3]]],
    'its own' => [0.4, []],
]);

it('says nothing of words in whole ink, of those that are covered again, and of those that make room for ink', function (array $layers): void {
    expect(gauged(new WornKnockouts, Fixtures::artwork($layers, ['distress' => [['texture' => 'speckle', 'amount' => 0.5, 'seed' => 3, 'on' => count($layers) > 2]]])))->toBe([]);
})->with([
    'not worn' => [plate_with_words(0)],
    'covered' => [plate_with_words(0, above: [ink_slab('patch', 0.1, 1.5, 2.9, 2.5)])],
    'the same words in ink' => [plate_with_words(0, ['gap' => 0.02], [Fixtures::words('ink', 'MOTH NIGHT', 1.2)])],
]);

it('lets words pass that lost a little about them', function (): void {
    $found = gauged(new WornKnockouts, Fixtures::artwork(plate_with_words(0), ['distress' => [['texture' => 'speckle', 'amount' => 0.12, 'seed' => 3]]]))['knocked-out:w'];
    expect($found->verdict)->toBe(Verdict::Pass)->and($found->mends)->toBe([])->and((float) $found->figure)->toBeBetween(4.0, 35.0);
});

it('keeps the ink about a shielded knockout, and no more', function (string $texture): void {
    $wear = fn (array $shielded): array => ['distress' => [['texture' => $texture, 'amount' => 0.4, 'seed' => 5, 'shielded' => $shielded]]];
    $print = fn (array $shielded): Image => Fixtures::render(Fixtures::artwork(plate_with_words(0), $wear($shielded)))->alpha();
    $whole = Fixtures::render(Fixtures::artwork(plate_with_words(0)))->alpha();
    $letters = Fixtures::render(Fixtures::artwork([Fixtures::words('w', 'MOTH NIGHT', 1.2)]))->alpha()->isMore(0.0);
    // 0.04 in are 12 pixels of 300 ppi.
    $near = Morphology::dilated($letters, 15);
    $far = Morphology::dilated($letters, 29)->inverted();
    [$shielded, $worn] = [$print(['w']), $print([])];
    expect($near->both($whole->isMore(254.0))->both($shielded->isLess(254.0))->area())->toBe(0.0)
        ->and($near->both($whole->isMore(254.0))->both($worn->isLess(254.0))->area())->toBeGreaterThan(500.0)
        ->and($far->both($whole->isMore(254.0))->both($shielded->isLess(128.0))->area())->toBeGreaterThan(50000.0)
        // What is knocked out stays so.
        ->and($letters->both($whole->isLess(1.0))->both($shielded->isMore(0.0))->area())->toBe(0.0);
})->with(['speckle', 'cracks']);

it('lets no edge of a shielded knockout chip, near it or further off, while those of the plate do', function (float $ppi): void {
    $print = fn (array $layers, array $shielded): Image => Fixtures::render(Fixtures::artwork($layers, ['distress' => [['texture' => 'chipped-edges', 'amount' => 0.12, 'seed' => 3, 'shielded' => $shielded]]]), $ppi)->alpha()->settled();
    [$shielded, $worn] = [$print(plate_with_words(0), ['w']), $print(plate_with_words(0), [])];
    // As the plate alone would come out, and only then the words are taken from it.
    $words = Fixtures::render(Fixtures::artwork([Fixtures::words('w', 'MOTH NIGHT', 1.2)]), $ppi)->alpha();
    $within = fn (Image $alpha): Image => $alpha->crop((int) (0.6 * $ppi), (int) (1.5 * $ppi), (int) (1.8 * $ppi), (int) (1.0 * $ppi))->settled();
    $off = $within($shielded)->linear(1.0)->plus($within($words))->linear(1.0, -255.0)->range();
    expect(max(abs($off[0]), abs($off[1])))->toBeLessThan(2.5)->and($within($worn)->area())->toBeLessThan(0.95 * $within($shielded)->area())
        ->and($shielded->area())->toBeLessThan(0.97 * (2.8 * 3.8 * $ppi ** 2 - $words->area()));
})->with([60.0, 300.0]);
