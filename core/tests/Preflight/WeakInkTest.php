<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Edit\Operations;
use TallCrow\Preflight\Covered;
use TallCrow\Preflight\Mend;
use TallCrow\Preflight\VanishingInk;
use TallCrow\Preflight\Verdict;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/** Words at some strength on a cloth, on a plate if one is given. */
function weak_words(string $colour, float $opacity, string $cloth, ?string $plate = null, array $effects = []): Artwork
{
    $words = Fixtures::words('w', 'KITE', 2.2, ['opacity' => $opacity, 'effects' => [['kind' => 'fill', 'colour' => $colour], ...$effects]]);

    return Fixtures::artwork([...($plate === null ? [] : [ink_slab('plate', 0.2, 0.5, 2.8, 3.5, $plate)]), $words], ['garments' => [['name' => 'Cloth', 'colour' => $cloth]]]);
}

// Mixed in sRGB as compositors do, and by the formula of WCAG 2.2: black at 12.2 % on white is #e0e0e0, contrast 1.32; at 24.7 % #c0c0c0, 1.82.
it('sees weak words mixed with the cloth', function (float $opacity, Verdict $verdict, string $figure): void {
    $found = gauged(new VanishingInk, weak_words('#000000', $opacity, '#ffffff'))['vanish:Cloth'];
    expect([$found->verdict, $found->figure])->toBe([$verdict, $figure]);
})->with([[0.122, Verdict::Fail, '100.0 % lost'], [0.247, Verdict::Pass, '0.0 % lost'], [0.6, Verdict::Pass, '0.0 % lost'], [1.0, Verdict::Pass, '0.0 % lost']]);

it('sees them so above half strength, too', function (): void {
    // #5a5a5a at six tenths on #3a3a3a is #4d4d4d: contrast 1.35 where the ink itself has 1.65.
    $found = fn (float $opacity): Verdict => gauged(new VanishingInk, weak_words('#5a5a5a', $opacity, '#3a3a3a'))['vanish:Cloth']->verdict;
    expect([$found(1.0), $found(0.6)])->toBe([Verdict::Pass, Verdict::Fail]);
});

it('sees dots mixed with the cloth just so', function (float $opacity, float $lpi, Verdict $verdict): void {
    $found = gauged(new VanishingInk, weak_words('#000000', $opacity, '#ffffff', effects: [['kind' => 'halftone', 'lpi' => $lpi]]))['vanish:Cloth'];
    expect($found->verdict)->toBe($verdict);
})->with([[0.1, 20, Verdict::Fail], [0.1, 40, Verdict::Fail], [0.3, 20, Verdict::Pass], [0.3, 40, Verdict::Pass], [1.0, 20, Verdict::Pass]]);

it('mixes the inks of a screen, but not with what lies beside the piece', function (string $cloth, Verdict $verdict): void {
    // Of #808080, whose light is 0.216, so much is white and the rest black (Neugebauer, 1937): 0.216 of 255 levels are #373737.
    $screened = weak_words('#808080', 1.0, $cloth, effects: [['kind' => 'halftone-inks', 'inks' => ['#000000', '#ffffff'], 'lpi' => 35]]);
    expect(gauged(new VanishingInk, $screened)['vanish:Cloth']->verdict)->toBe($verdict);
})->with([['#373737', Verdict::Fail], ['#ffffff', Verdict::Pass], ['#808080', Verdict::Pass]]);

it('offers to print weak words in full where that reads, and in another colour where it does not', function (string $colour, string $first): void {
    $sheet = weak_words($colour, 0.1, '#ffffff');
    $mends = gauged(new VanishingInk, $sheet)['vanish:Cloth']->mends;
    expect($mends[0]->says)->toStartWith($first)->toEndWith(' at full strength');
    foreach ($mends as $mend) {
        $mended = Operations::apply($mend->operations, $sheet, Fixtures::renderer()->placer)->artwork;
        expect(gauged(new VanishingInk, $mended)['vanish:Cloth']->verdict)->toBe(Verdict::Pass, $mend->says);
    }
})->with([['#000000', 'Print KITE'], ['#fbfbfb', 'Print KITE in #']]);

// Bone at a tenth on rust is #b75a3d, contrast 1.22; at a half #d29a82, 2.1.
it('sees weak words mixed with the ink that they stand on', function (float $opacity, bool $isSunk): void {
    expect(isset(gauged(new Covered, weak_words('#f3ead7', $opacity, '#ffffff', '#b04a2c'))['sunk:w']))->toBe($isSunk);
})->with([[0.1, true], [0.5, false], [1.0, false]]);

it('raises sunk words by their own ink, or by an edge where that is like the ground itself', function (string $colour, string $says): void {
    $sheet = weak_words($colour, 0.1, '#ffffff', '#b04a2c');
    $mends = gauged(new Covered, $sheet)['sunk:w']->mends;
    expect(array_map(fn (Mend $mend): string => $mend->says, $mends))->toBe([$says]);
    $mended = Operations::apply($mends[0]->operations, $sheet, Fixtures::renderer()->placer)->artwork;
    expect(gauged(new Covered, $mended))->toBe([]);
})->with([['#f3ead7', 'Print KITE at full strength'], ['#b8482c', 'Edge KITE in #f3ead7 at full strength']]);

it('offers for words that a look prints in inks of its own what that look can do', function (array $look, array $says): void {
    $sheet = weak_words('#202020', 1.0, '#151515', effects: [$look]);
    $mends = gauged(new VanishingInk, $sheet)['vanish:Cloth']->mends;
    expect(array_map(fn (Mend $mend): string => $mend->says, $mends))->toBe($says);
    foreach ($mends as $mend) {
        $mended = Operations::apply($mend->operations, $sheet, Fixtures::renderer()->placer)->artwork;
        expect(gauged(new VanishingInk, $mended)['vanish:Cloth']->verdict)->toBe(Verdict::Pass);
    }
})->with([
    'one ink' => [['kind' => 'photocopied', 'grain' => 0, 'colour' => '#1c1c1c'], ['Print KITE in #f3ead7']],
    'two inks in dots' => [['kind' => 'halftone-inks', 'inks' => ['#101010', '#2a2a2a'], 'lpi' => 30], []],
]);

it('sees pieces of many strengths each by its own', function (): void {
    $at = fn (string $id, float $y, float $opacity): array => Fixtures::words($id, 'KITE', 1.6, ['opacity' => $opacity, 'placement' => ['x' => 1.5, 'y' => $y], 'effects' => [['kind' => 'fill', 'colour' => '#000000']]]);
    $sheet = Fixtures::artwork([$at('a', 0.6, 0.1), $at('b', 1.6, 0.3), $at('c', 2.6, 0.05), $at('d', 3.5, 1.0)], ['garments' => [['name' => 'Cloth', 'colour' => '#ffffff']]]);
    expect(gauged(new VanishingInk, $sheet)['vanish:Cloth']->layers)->toEqualCanonicalizing(['a', 'c']);
});
