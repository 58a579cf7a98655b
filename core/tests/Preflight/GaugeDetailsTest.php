<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Colour\Srgb;
use TallCrow\Preflight\Centred;
use TallCrow\Preflight\Covered;
use TallCrow\Preflight\EdgeInk;
use TallCrow\Preflight\EffectivePpi;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\FineDetail;
use TallCrow\Preflight\Gamut;
use TallCrow\Preflight\Haze;
use TallCrow\Preflight\Knockouts;
use TallCrow\Preflight\Mend;
use TallCrow\Preflight\MendsOnSheet;
use TallCrow\Preflight\MethodFits;
use TallCrow\Preflight\ReadingWay;
use TallCrow\Preflight\Verdict;
use TallCrow\Preflight\WornWords;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\SoftProof;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

// What gauges say, whom they name and what they offer, beside the limits that other tests hold.

function told_on_sheet(MendsOnSheet $check, Artwork $artwork, float $ppi = 100): Finding
{
    $subject = subject_of($artwork, $ppi);

    return $check->onSheet($check->picture($subject->picture)[0], $subject);
}

it('says what share of a piece is seen to the nearest hundredth', function (): void {
    // Of 130 columns at 50 ppi six are left.
    $found = gauged(new Covered, Fixtures::artwork([ink_slab('below', 0.2, 1, 2.8, 2, more: ['name' => 'Below']), ink_slab('above', 0.32, 0.5, 2.9, 2.5, '#b04a2c')]))['covered:below'];
    expect($found->figure)->toBe('5 % seen')->and($found->says)->toStartWith('95 % of Below');
});

it('says how many ppi a picture holds, rounded down', function (): void {
    $folder = Fixtures::temporary('holds');
    ImageFile::writePng(Image::raw(str_repeat("\x80\x40\x20\xff", 500 * 500), 500, 500, 4), "$folder/sea.png");
    $slab = ink_slab('p', 0.7, 1.2, 2.3, 2.8, more: ['name' => 'Frame', 'effects' => [1 => ['kind' => 'picture', 'file' => 'sea.png']]]);
    // 500 px over 1.6 in.
    expect(gauged_from($folder, new EffectivePpi, [$slab])['ppi:p:1']->says)->toBe('The picture in Frame holds 312 ppi.')
        ->and(gauged_from($folder, new EffectivePpi, [array_replace_recursive($slab, ['effects' => [1 => ['scale' => 1.5]]])])['ppi:p:1']->says)->toStartWith('The picture in Frame has 208 ppi')->toContain('Show it at 104 % of its size');
});

it('blames haze on what is printed and fades, and on nothing else', function (): void {
    $weak = fn (string $id, float $top, array $more = []): array => ink_slab($id, 0.5, $top, 2.5, $top + 0.8, more: $more + ['name' => $id, 'opacity' => 0.6]);
    $finding = told_on_sheet(new Haze, Fixtures::artwork([
        ink_slab('full', 0.5, 0.1, 2.5, 0.9), $weak('on', 1), $weak('off', 2, ['on' => false]), $weak('out', 2.2, ['role' => ['kind' => 'knockout', 'gap' => 0]]),
    ]));
    expect($finding->layers)->toBe(['on'])->and($finding->says)->toContain('It comes of on (printed at 60 %).')
        ->and(array_map(fn (Mend $mend): string => $mend->says, $finding->mends))->toBe(['Print the fade of on as halftone', 'Print on at full strength']);
});

it('measures haze of a large sheet by its parts as in its print', function (): void {
    $words = array_map(fn (int $i): array => Fixtures::words("w$i", "TIDE POOL\nBELL RING\nMOTH KITE", 1.4, ['placement' => ['x' => 0.75 + 1.5 * ($i % 4), 'y' => 2.25 + 1.5 * intdiv($i, 4)]]), range(0, 11));
    $plates = array_map(fn (int $i): array => ink_slab("p$i", 0.2 + 1.5 * $i, 0.3, 1.2 + 1.5 * $i, 0.8, more: ['opacity' => 0.6]), range(0, 2));
    $sheet = Fixtures::artwork([...$words, ...$plates], ['sheet' => ['width' => 1800, 'height' => 1800, 'ppi' => 300]]);
    $share = fn (float $ppi): float => (float) told_on_sheet(new Haze, $sheet, $ppi)->figure;
    expect($share(100))->toEqualWithDelta($share(300), 0.04 * $share(300))->and($share(300))->toBeGreaterThan(5.0);
});

it('names up to three colours that print duller, no two alike, and what they come to', function (): void {
    $bands = array_map(fn (int $i, string $colour): array => ink_slab("b$i", 0.2, 0.1 + 0.7 * $i, 2.8, 0.7 + 0.7 * $i, $colour), range(0, 4), ['#00ff00', '#04fb04', '#0000ff', '#ff00ff', '#00ffc8']);
    preg_match_all('/(#[0-9a-f]{6}) as about (#[0-9a-f]{6})/', gauged(new Gamut, Fixtures::artwork($bands))['gamut']->says, $named);
    [$colours, $printed] = [array_map(Srgb::hex(...), $named[1]), array_map(Srgb::hex(...), $named[2])];
    expect($colours)->toHaveCount(3);
    foreach ($colours as $i => $colour) {
        expect($printed[$i]->toHex())->toBe(SoftProof::of([$colour])[0]->toHex());
        foreach (array_slice($colours, $i + 1) as $other) {
            expect($colour->toLab()->difference($other->toLab()))->toBeGreaterThanOrEqual(12.0);
        }
    }
});

it('tidies crumbs half as large again as those it counts, at the end of the lines', function (): void {
    $crumbs = array_map(fn (int $i): array => ink_slab("c$i", 0.3 + 0.1 * ($i % 24), 0.3 + 0.1 * intdiv($i, 24), 0.311 + 0.1 * ($i % 24), 0.311 + 0.1 * intdiv($i, 24)), range(0, 95));
    $sheet = Fixtures::artwork([['id' => 'g', 'name' => 'Grit', 'source' => ['kind' => 'group', 'layers' => $crumbs], 'effects' => [['kind' => 'hue', 'by' => 5]]]]);
    $finding = gauged(new FineDetail, $sheet, 300)['scraps'];
    $effects = Fixtures::edited($sheet, ...$finding->mends[0]->operations)->layers[0]->effects;
    expect($finding->mends[0]->says)->toBe('Tidy Grit')->and($effects)->toHaveCount(2)->and($effects[1]->kind)->toBe('tidied')
        ->and(1.5 * (float) preg_replace('/.*under ([\d.]+) in:.*/s', '$1', $finding->says))->toEqualWithDelta($effects[1]->values->number('specks'), 0.001);
});

it('looks for knockouts in groups that are printed as they are, and in no other', function (array $more, bool $isTold): void {
    $out = ink_slab('out', 0.5, 3, 1, 3.5, more: ['role' => ['kind' => 'knockout', 'gap' => 0]]);
    $group = ['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [ink_slab('plate', 0.5, 0.5, 2.5, 2), $out]]] + $more;
    expect(isset(gauged(new Knockouts, Fixtures::artwork([$group]))['knockout:out']))->toBe($isTold);
})->with([[[], true], [['on' => false], false], [['effects' => [['kind' => 'arch', 'bend' => 0.3]]], false]]);

it('takes words for mirrored however they are flipped, and for standing on their head from 135 degrees on', function (array $words, ?string $figure): void {
    expect((gauged(new ReadingWay, Fixtures::artwork([Fixtures::words('w', 'HENRY', 2, $words)]))['reads:w'] ?? null)?->figure)->toBe($figure);
})->with([
    [['placement' => ['flip' => 'across']], 'mirrored'],
    [['placement' => ['flip' => 'down']], 'mirrored'],
    [['placement' => ['turn' => 180]], 'on its head'],
    [['placement' => ['turn' => 140]], 'on its head'],
    [['placement' => ['turn' => 130]], null],
]);

it('counts as many cloths as it names, and offers to leave them out while one is left', function (array $colours, string $figure, array $mends): void {
    $garments = array_map(fn (string $colour): array => ['name' => $colour, 'colour' => $colour], $colours);
    $found = gauged(new MethodFits, Fixtures::artwork([ink_slab('p', 1, 1, 2, 2)], ['method' => 'sublimation', 'garments' => $garments]));
    expect($found['method']->figure)->toBe($figure)->and(array_map(fn (Mend $mend): string => $mend->says, $found['method']->mends))->toBe($mends);
})->with([
    [['#ffffff', '#101010'], '1 dark cloth', ['Leave #101010 out']],
    [['#ffffff', '#101010', '#202020'], '2 dark cloths', ['Leave #101010 out', 'Leave #202020 out']],
    [['#101010'], '1 dark cloth', []],
    [['#ffffff'], 'fits', []],
]);

it('asks for light cloth where a method has no white, and for no other', function (string $method, array $keys): void {
    expect(array_keys(gauged(new MethodFits, Fixtures::artwork([ink_slab('p', 1, 1, 2, 2)], ['method' => $method]))))->toBe($keys);
})->with([['dtg', []], ['transfer', ['mirror']], ['sublimation', ['method']]]);

it('brings a piece inside by its own ink, whatever else is printed', function (): void {
    $sheet = Fixtures::artwork([ink_slab('back', 0.5, 0.5, 2.5, 3.5), ink_slab('over', 2.4, 1, 3.2, 1.5, more: ['name' => 'Over'])]);
    $finding = told_on_sheet(new EdgeInk, $sheet);
    $after = Fixtures::edited($sheet, ...$finding->mends[0]->operations)->layer('over');
    assert($after !== null);
    expect($finding->layers)->toBe(['over'])->and($finding->mends[0]->says)->toBe('Bring Over inside')->and(Fixtures::renderer()->placer->box($after)?->right)->toEqualWithDelta(2.95, 1e-3)
        ->and(Fixtures::renderer()->placer->box($after)?->top)->toEqualWithDelta(1.0, 1e-3);
});

it('moves all of a design that hangs aside, by the middle of all of it', function (): void {
    $sheet = Fixtures::artwork([ink_slab('a', 0.5, 0.5, 1.6, 1.5), ink_slab('b', 1.2, 2, 2.7, 3, '#b04a2c')]);
    $finding = told_on_sheet(new Centred, $sheet);
    $after = Fixtures::edited($sheet, ...$finding->mends[0]->operations);
    $box = fn (string $id) => Fixtures::renderer()->placer->box($after->layer($id) ?? $after->layers[0]);
    // From 0.5 to 2.7 in is a tenth of an inch to the right of the middle of 3 in.
    expect($finding->figure)->toBe('0.10 in off')->and($finding->mends[0]->says)->toBe('Move all of it to the middle')->and([$box('a')?->left, $box('b')?->right])->toEqualWithDelta([0.4, 2.6], 0.011);
});

it('takes a design for centred whose wear and shadow alone hang aside, by all of its pieces', function (float $off, bool $isTold): void {
    $plates = [
        ink_slab('a', 0.4 + $off, 0.5, 1.4, 1.5), ink_slab('b', 1.6, 2, 2.6 + $off, 3, more: ['effects' => [1 => ['kind' => 'shadow', 'distance' => 0.3, 'angle' => 0]]]),
        // What is not printed hangs aside as it likes.
        ink_slab('off', 0, 3.2, 0.4, 3.6, more: ['on' => false]), ink_slab('out', 0, 3.2, 0.4, 3.6, more: ['role' => ['kind' => 'knockout', 'gap' => 0]]),
    ];
    expect(told_on_sheet(new Centred, Fixtures::artwork($plates))->mends !== [])->toBe($isTold);
})->with([[0.0, false], [0.08, true]]);

it('knows whether a piece has room to be sized, on every side', function (float $x, float $y, float $by, bool $hasRoom): void {
    // A piece of 1 × 0.5 in on 3 × 4 in.
    expect(subject_of(Fixtures::artwork([ink_slab('p', $x - 0.5, $y - 0.25, $x + 0.5, $y + 0.25)]), 10)->hasRoom('p', $by))->toBe($hasRoom);
})->with([
    [1.5, 2, 2.9, true], [1.5, 2, 3.1, false], [0.6, 2, 1.15, true], [0.6, 2, 1.25, false], [2.4, 2, 1.15, true], [2.4, 2, 1.25, false],
    [1.5, 0.3, 1.15, true], [1.5, 0.3, 1.25, false], [1.5, 3.7, 1.15, true], [1.5, 3.7, 1.25, false],
]);

it('fails a word by strokes that were cut thin, and not by those that were drawn so', function (array $layers, Verdict $verdict): void {
    $found = gauged(new WornWords, Fixtures::artwork($layers), 300)['word:w:0'];
    preg_match('/^(\d+) % · ([\d.]+) in$/', $found->figure, $figures);
    // Less is lost than a letter may lose, and the strokes that are left are too thin: how it came to that decides.
    expect((int) $figures[1])->toBeBetween(2, 39)->and((float) $figures[2])->toBeLessThan(0.012)->and($found->verdict)->toBe($verdict);
})->with(function (): array {
    $out = ['role' => ['kind' => 'knockout', 'gap' => 0]];

    return [
        'thick letters, combed' => [[Fixtures::words('w', 'H', 1), ...array_map(fn (int $i): array => ink_slab("b$i", 1 + 0.02 * $i, 1.2, 1.0105 + 0.02 * $i, 2.8, more: $out), range(0, 14))], Verdict::Fail],
        'thin letters, nicked' => [[Fixtures::words('w', 'moth', 0.5, ['source' => ['font' => 'homemade-apple.woff2']]), ink_slab('b', 1.45, 1, 1.47, 3, more: $out)], Verdict::Pass],
    ];
});

it('judges words that are printed weakly by what is left of them, and offers to shield them from the wear of the sheet', function (float $opacity): void {
    $words = Fixtures::words('w', 'HI', 1, ['opacity' => $opacity]);
    $nicked = gauged(new WornWords, Fixtures::artwork([$words, ink_slab('b', 1.05, 1.9, 1.3, 2.02, more: ['role' => ['kind' => 'knockout', 'gap' => 0]])]), 300)['word:w:0'];
    $worn = gauged(new WornWords, Fixtures::artwork([$words], ['distress' => [['texture' => 'speckle', 'amount' => 0.7, 'seed' => 3]]]), 300)['word:w:0'];
    expect((int) $nicked->figure)->toBeBetween(5, 35)->and($nicked->verdict)->toBe(Verdict::Pass)->and($nicked->mends)->toBe([])
        ->and($worn->verdict)->toBe(Verdict::Fail)->and(array_map(fn (Mend $mend): string => $mend->says, $worn->mends))->toBe(['Shield HI']);
})->with([1.0, 0.6, 0.4]);

it('goes on to the next words where some cannot be measured', function (): void {
    $words = fn (string $id, float $y): array => Fixtures::words($id, 'MOTH', 2, ['placement' => ['y' => $y]]);
    $bent = ['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [$words('in', 1)]], 'effects' => [['kind' => 'arch', 'bend' => 0.3]]];
    $found = gauged(new WornWords, Fixtures::artwork([$bent, $words('w', 3), ink_slab('bar', 0.4, 2.6, 1, 3.4, more: ['role' => ['kind' => 'knockout', 'gap' => 0]])]));
    expect(array_keys($found))->toBe(['word:w:0']);

    $off = gauged(new WornWords, Fixtures::artwork([['on' => false] + $words('off', 1), $words('w', 3), ink_slab('bar', 0.4, 2.6, 1, 3.4, more: ['role' => ['kind' => 'knockout', 'gap' => 0]])]));
    expect(array_keys($off))->toBe(['word:w:0'])->and($off['word:w:0']->says)->toContain(sprintf('of MOTH %s %% is gone', explode(' ', $off['word:w:0']->figure)[0]));
});
