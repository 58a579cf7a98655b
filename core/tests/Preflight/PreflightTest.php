<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;
use TallCrow\Preflight\Verdict;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;

function preflight(Artwork $artwork, ?PrintArea $area = null, ?string $folder = null): Report
{
    $shelf = Fixtures::shelf($folder);

    return Preflight::artwork($artwork, Fixtures::renderer($shelf), $shelf, $area);
}

function found(Artwork $artwork, string $key, ?string $folder = null): Finding
{
    return preflight($artwork, folder: $folder)->finding($key) ?? throw new RuntimeException("no finding $key");
}

/** Applies a finding's first mend and looks again. */
function mended(Artwork $artwork, string $key, ?PrintArea $area = null): array
{
    $mend = preflight($artwork, $area)->finding($key)?->mends[0] ?? throw new RuntimeException("no mend for $key");
    $after = Fixtures::edited($artwork, ...$mend->operations);

    return [$after, preflight($after, $area)->finding($key)];
}

/** @return array<string, mixed> */
function placed_raster(string $file, float $width, array $more = []): array
{
    return array_replace_recursive(['id' => 'raster', 'source' => ['kind' => 'art', 'file' => $file, 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => $width, 'height' => null]], $more);
}

it('holds the sheet against the print area, and refits', function (): void {
    $artwork = Fixtures::artwork([Fixtures::shape('s', 'ellipse', 1)]);
    $area = PrintArea::inches('Quarry Road Press', 6, 8, Ppi::of(300));
    expect(preflight($artwork, $area)->finding('sheet')?->verdict)->toBe(Verdict::Fail);
    [$after, $again] = mended($artwork, 'sheet', $area);
    expect($again->verdict)->toBe(Verdict::Pass)->and($after->sheet->width)->toBe(1800)->and($after->layers[0]->placement?->width)->toEqualWithDelta(2.0, 1e-9);
});

// Common practice: a strict 300 rule and an accept 200 rule. The rock pool is 1000 px wide.
it('measures the effective ppi of each raster by both rules', function (string $rule, float $width, Verdict $verdict, string $figure): void {
    $finding = found(Fixtures::artwork([placed_raster('rock-pool.png', $width)], ['rule' => $rule]), 'ppi:raster');
    expect($finding->verdict)->toBe($verdict)->and($finding->figure)->toBe($figure);
})->with([
    ['strict-300', 2.5, Verdict::Pass, '400 ppi'], ['strict-300', 1000 / 300, Verdict::Pass, '300 ppi'], ['strict-300', 4.0, Verdict::Fail, '250 ppi'],
    ['accept-200', 4.0, Verdict::Pass, '250 ppi'], ['accept-200', 5.5, Verdict::Fail, '181 ppi'],
]);

it('mends a raster that is printed too large', function (): void {
    [$after, $again] = mended(Fixtures::artwork([placed_raster('rock-pool.png', 4.0)]), 'ppi:raster');
    expect($after->layers[0]->placement?->width)->toEqualWithDelta(1000 / 300, 0.002)->and($again->verdict)->toBe(Verdict::Pass);
});

it('counts the worse way of a stretched raster', function (): void {
    expect(found(Fixtures::artwork([placed_raster('rock-pool.png', 2.0, ['placement' => ['height' => 3.5]])]), 'ppi:raster')->figure)->toBe('200 ppi');
});

it('finds ink that touches the edge, says where, and brings it inside', function (): void {
    $artwork = Fixtures::artwork([Fixtures::words('word', 'QUARRY ROAD', 2.6, ['placement' => ['x' => 2.0]])]);
    $finding = found($artwork, 'edge');
    expect($finding->verdict)->toBe(Verdict::Fail)->and($finding->says)->toContain('right')->and($finding->layers)->toBe(['word'])
        ->and($finding->where[0]->right)->toBeGreaterThan(2.99);
    [$after, $again] = mended($artwork, 'edge');
    expect($again->verdict)->toBe(Verdict::Pass)->and($after->layers[0]->placement?->width)->toEqualWithDelta(2.6, 1e-9);

    [$shrunk, $clear] = mended(Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 4)]), 'edge');
    expect($clear->verdict)->toBe(Verdict::Pass)->and($shrunk->layers[0]->placement?->width)->toBeLessThan(3.0);

    // Of a plate wider than the sheet no more is seen than fits on it: it is moved, and not sized.
    $masked = Fixtures::shape('plate', 'rectangle', 4, more: ['placement' => ['x' => 2.4, 'height' => 1.0], 'masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.4, 'height' => 0.8]]]);
    [$moved, $whole] = mended(Fixtures::artwork([$masked]), 'edge');
    expect($whole->verdict)->toBe(Verdict::Pass)->and($moved->layers[0]->placement?->width)->toBe(4.0)->and($moved->layers[0]->placement?->x)->toBeLessThan(2.2)->toBeGreaterThan(2.1);
});

it('knows a background that was left on from one that is off', function (array $how, Verdict $verdict): void {
    $folder = Fixtures::temporary('ground');
    Fixtures::run(['convert', '-size', '600x600', ...$how, "$folder/picture.png"]);
    expect(found(Fixtures::artwork([placed_raster('picture.png', 2)]), 'background:raster', $folder)->verdict)->toBe($verdict);
})->with([
    'white' => [['xc:white', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,100'], Verdict::Fail],
    'near-white with noise' => [['xc:#f4f2ee', '-attenuate', '0.02', '+noise', 'Gaussian', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,100'], Verdict::Fail],
    'black' => [['xc:black', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,100'], Verdict::Fail],
    'clear' => [['xc:none', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,100'], Verdict::Pass],
    'a photo to its edges' => [['plasma:red-blue'], Verdict::Warn],
]);

it('asks nothing of the edge of a masked photo', function (): void {
    $artwork = Fixtures::artwork([placed_raster('rock-pool.png', 2, ['masks' => [['kind' => 'ellipse']]])]);
    expect(preflight($artwork)->finding('background:raster')?->verdict)->toBe(Verdict::Pass);
});

it('tells haze from the smooth rim of ink', function (array $layer, Verdict $verdict): void {
    expect(found(Fixtures::artwork([$layer]), 'haze')->verdict)->toBe($verdict);
})->with([
    'words' => [fn () => Fixtures::words('w', "QUARRY\nROAD", 2.4), Verdict::Pass],
    'script with thin strokes' => [fn () => Fixtures::words('w', 'hold the line', 2.4, ['source' => ['font' => 'yellowtail.woff2']]), Verdict::Pass],
    'worn' => [fn () => Fixtures::shape('s', 'ellipse', 2, more: ['distress' => [['texture' => 'scratches', 'amount' => 0.15]]]), Verdict::Pass],
    'weak' => [fn () => Fixtures::shape('s', 'ellipse', 2, more: ['opacity' => 0.6]), Verdict::Fail],
    'feathered' => [fn () => Fixtures::shape('s', 'rectangle', 2, more: ['masks' => [['kind' => 'ellipse', 'feather' => 0.3]]]), Verdict::Fail],
]);

it('measures haze as a share, and mends it', function (): void {
    $half = Fixtures::artwork([
        Fixtures::shape('full', 'rectangle', 2, more: ['placement' => ['height' => 1, 'y' => 1]]),
        Fixtures::shape('weak', 'rectangle', 2, more: ['placement' => ['height' => 1, 'y' => 3], 'opacity' => 0.5]),
    ]);
    $finding = found($half, 'haze');
    expect((float) $finding->figure)->toEqualWithDelta(50.0, 1.5)->and($finding->where)->not->toBe([]);
    foreach ($finding->where as $box) {
        expect($box->bottom)->toBeGreaterThan(2.4);
    }
    expect(mended($half, 'haze')[1]->verdict)->toBe(Verdict::Pass);
});

it('measures ink that vanishes on each cloth', function (): void {
    $artwork = Fixtures::artwork([
        Fixtures::shape('pale', 'rectangle', 2, '#e9dfca', ['placement' => ['height' => 1, 'y' => 1]]),
        Fixtures::shape('dark', 'rectangle', 2, '#1f1d1a', ['placement' => ['height' => 0.5, 'y' => 3]]),
    ]);
    $oat = found($artwork, 'vanish:Oat');
    expect((float) $oat->figure)->toEqualWithDelta(66.7, 1.0)->and($oat->verdict)->toBe(Verdict::Fail)
        ->and(found($artwork, 'vanish:Slate')->verdict)->toBe(Verdict::Pass);
    foreach ($oat->where as $box) {
        expect($box->top)->toBeLessThan(1.6);
    }
    // Its edge in another colour comes first; the cloth on which less is lost is never the one to leave out.
    expect(array_map(fn ($mend): string => $mend->says, $oat->mends))->toContain('Leave Oat out')->and(mended($artwork, 'vanish:Oat')[1]->verdict)->toBe(Verdict::Pass)
        ->and(found($artwork, 'vanish:Slate')->mends)->toBe([]);
});

it('measures the share that wear took, in all and per layer, and mends it', function (): void {
    $wear = ['distress' => [['texture' => 'speckle', 'amount' => 0.35, 'seed' => 3, 'shielded' => ['word']]]];
    $artwork = Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2.6, '#c8452c', ['placement' => ['height' => 2, 'y' => 1.2]]), Fixtures::words('word', 'BELLS', 2.4, ['placement' => ['y' => 3.2]])], $wear);
    $report = preflight($artwork);
    $whole = Fixtures::render($artwork)->alpha()->area();
    $unworn = Fixtures::render($artwork->withDistress([]))->alpha()->area();
    expect((float) $report->finding('wear')?->figure)->toEqualWithDelta((1 - $whole / $unworn) * 100, 0.6)
        ->and((float) $report->finding('wear:plate')?->figure)->toEqualWithDelta(35, 5)
        ->and($report->finding('wear:plate')?->verdict)->toBe(Verdict::Warn)
        ->and((float) ($report->finding('wear:word')->figure ?? 0))->toBeLessThan(1.5);
    [, $again] = mended($artwork, 'wear:plate');
    expect($again->verdict)->toBe(Verdict::Pass);
});

it('reports a line that cannot be drawn, and measures the rest', function (): void {
    $report = preflight(Fixtures::artwork([Fixtures::words('word', 'жук', 2), Fixtures::shape('s', 'ellipse', 1)]));
    expect($report->finding('trouble:word')?->says)->toContain('has no ж')->and($report->finding('edge')?->verdict)->toBe(Verdict::Pass)
        ->and($report->verdict())->toBe(Verdict::Fail);
});

it('says that an empty sheet would print nothing', function (): void {
    expect(found(Fixtures::artwork([]), 'blank')->verdict)->toBe(Verdict::Fail);
});

it('leaves what takes long to where a design is examined', function (): void {
    $artwork = Fixtures::artwork([Fixtures::words('w', 'TIDE', 2), Fixtures::shape('s', 'ellipse', 1)]);
    $keys = fn (bool $closely): array => array_map(fn (Finding $finding): string => $finding->key, Preflight::artwork($artwork, Fixtures::renderer(), Fixtures::shelf(), closely: $closely)->findings);
    [$examined, $atWork] = [$keys(true), $keys(false)];
    expect(array_values(array_diff($examined, $atWork)))->toContain('scraps', 'line-fine', 'gap-fine')->and(array_diff($atWork, $examined))->toBe([])->and($atWork)->toContain('haze');
});

it('finds the same with what is kept from one look to the next as without', function (): void {
    $folder = Fixtures::temporary('kept');
    $sheet = fn (float $x, float $amount, float $opacity): Artwork => Fixtures::artwork([
        ['opacity' => $opacity] + Fixtures::shape('plate', 'ellipse', 1.6, '#2f6f73'),
        Fixtures::words('w', 'TIDE POOL', 2.6, ['placement' => ['x' => 1.5, 'y' => 3.2], 'distress' => [['texture' => 'scratches', 'amount' => 0.2, 'seed' => 3]]]),
        Fixtures::shape('star', 'star', 0.6, '#d9a441', ['placement' => ['x' => $x, 'y' => 3.2]]),
    ], ['garments' => [['name' => 'Charcoal', 'colour' => '#33363b']], 'distress' => [['texture' => 'speckle', 'amount' => $amount, 'seed' => 5]]]);
    $found = fn (Artwork $artwork, Renderer $renderer): array => array_map(fn (Finding $finding): array => $finding->toArray(), Preflight::artwork($artwork, $renderer, Fixtures::shelf(), closely: false)->findings);
    $haze = [];
    // A star moves over the words, the wear grows, the plate fades, and all of it goes back.
    foreach ([[0.5, 0.1, 1.0], [1.5, 0.1, 1.0], [1.5, 0.3, 1.0], [1.5, 0.3, 0.5], [0.5, 0.1, 1.0]] as $step) {
        $kept = $found($sheet(...$step), new Renderer(Fixtures::shelf(), new FolderPictures($folder)));
        expect($kept)->toEqual($found($sheet(...$step), Fixtures::renderer()));
        $haze[] = array_values(array_filter($kept, fn (array $one): bool => $one['key'] === 'haze'))[0]['figure'];
    }
    expect($haze[3])->not->toBe($haze[2])->and($haze[4])->toBe($haze[0]);
});
