<?php

declare(strict_types=1);

use TallCrow\Preflight\EdgeInk;
use TallCrow\Preflight\EffectivePpi;
use TallCrow\Preflight\FilledLetters;
use TallCrow\Preflight\HalftoneDots;
use TallCrow\Preflight\Knockouts;
use TallCrow\Preflight\Mend;
use TallCrow\Preflight\MethodFits;
use TallCrow\Preflight\NothingThere;
use TallCrow\Preflight\ReadingWay;
use TallCrow\Preflight\SheetSubject;
use TallCrow\Preflight\Thumbnail;
use TallCrow\Preflight\Verdict;
use TallCrow\Preflight\WornWords;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

// Which pieces count, and which do not.

it('counts a piece as off the sheet from where its box leaves it, on every side', function (float $x, float $y, ?string $figure): void {
    // A piece of one inch on a sheet of 3 × 4 in.
    $subject = subject_of(Fixtures::artwork([ink_slab('in', 1, 1, 2, 2), ink_slab('p', $x - 0.5, $y - 0.5, $x + 0.5, $y + 0.5)]));
    $finding = (new NothingThere)->onSheet((new NothingThere)->picture($subject->picture)[0], $subject);
    expect($finding->layers)->toBe($figure === null ? [] : ['p']);
    if ($figure !== null) {
        expect($finding->figure)->toBe($figure);
    }
})->with([
    'within' => [1.5, 2, null], 'left' => [-0.6, 2, '1 of 2 pieces'], 'right' => [3.6, 2, '1 of 2 pieces'], 'above' => [1.5, -0.6, '1 of 2 pieces'], 'below' => [1.5, 4.6, '1 of 2 pieces'],
    'touching the lower edge' => [1.5, 4.5, '1 of 2 pieces'], 'touching the right edge' => [3.5, 2, '1 of 2 pieces'],
    'over the left edge' => [-0.4, 2, null], 'over the right edge' => [3.4, 2, null], 'over the upper edge' => [1.5, -0.4, null], 'over the lower edge' => [1.5, 4.4, null],
]);

it('knows a piece of which nothing is left from one that is small, off or beyond the sheet', function (array $layer, bool $isBlank): void {
    $subject = subject_of(Fixtures::artwork([$layer]));
    expect($subject->isBlank($subject->artwork->layers[0]))->toBe($isBlank);
})->with([
    'whole' => [fn () => ink_slab('p', 1, 1, 2, 2), false],
    'a hairline' => [fn () => ink_slab('p', 1, 1, 1.0101, 2), false],
    'masked away' => [fn () => ink_slab('p', 1, 1, 2, 2, more: ['masks' => [['kind' => 'rectangle', 'x' => 3, 'y' => 3, 'width' => 0.2, 'height' => 0.2]]]), true],
    'off' => [fn () => ink_slab('p', 1, 1, 2, 2, more: ['on' => false, 'masks' => [['kind' => 'rectangle', 'x' => 3, 'y' => 3, 'width' => 0.2, 'height' => 0.2]]]), false],
    'beyond the sheet' => [fn () => ink_slab('p', 5, 1, 6, 2), false],
]);

it('takes bars with gaps for no plate, however many hang together', function (float $bar, bool $isPlate): void {
    // Fourteen inches of bars, 0.45 in apart, on one bar across: 70 square inches and more of ink.
    $bars = array_map(fn (int $i): array => ink_slab("b$i", 0.2 + 0.45 * $i, 0.2, 0.2 + $bar + 0.45 * $i, 10.2), range(0, 30));
    $sheet = Fixtures::artwork([...$bars, ink_slab('across', 0.2, 5, 13.9, 5.25)], ['method' => 'transfer', 'sheet' => ['width' => 1450, 'height' => 1050, 'ppi' => 100]]);
    expect(isset(gauged(new MethodFits, $sheet, 60)['solid']))->toBe($isPlate);
})->with([[0.25, false], [0.45, true]]);

it('says what a screen drops, and how coarse one holds', function (float $lpi, int $ppi, Verdict $verdict, string $limit, string $says): void {
    $sheet = Fixtures::artwork([ink_slab('p', 0.2, 0.2, 1, 1, more: ['name' => 'Plate', 'effects' => [1 => ['kind' => 'halftone', 'lpi' => $lpi]]])], ['method' => 'transfer', 'sheet' => ['width' => 4 * $ppi, 'height' => 4 * $ppi, 'ppi' => $ppi]]);
    $found = gauged(new HalftoneDots, $sheet, 50)['dots:p'];
    expect($found->verdict)->toBe($verdict)->and($found->limit)->toBe($limit)->and($found->says)->toBe($says);
})->with([
    // A round dot of 0.012 in at 35 lines covers π / 4 × (35 × 0.012)² = 0.139 of its cell, at 55 lines 0.342.
    'fine' => [35, 300, Verdict::Pass, '45 lpi', 'Tones from 14 % on have dots of 0.012 in or more.'],
    'too fine for the dots' => [55, 300, Verdict::Warn, '45 lpi', 'At 55 lines to the inch the dots of tones under 34 % are finer than 0.012 in and drop out. 45 lines or fewer hold.'],
    'too fine for the pixels' => [40, 150, Verdict::Warn, '35 lpi', 'At 40 lines to the inch the dots of tones under 18 % are finer than 0.012 in and drop out, and a cell is only 3.8 px of the print. 35 lines or fewer hold.'],
]);

it('tells of screens that are printed, and of no other', function (array $more): void {
    expect(gauged(new HalftoneDots, Fixtures::artwork([ink_slab('p', 0.2, 0.2, 1, 1, more: array_replace_recursive(['effects' => [1 => ['kind' => 'halftone', 'lpi' => 60]]], $more))])))->toBe([]);
})->with([[['on' => false]], [['role' => ['kind' => 'knockout', 'gap' => 0]]], [['effects' => [1 => ['on' => false]]]]]);

it('says where ink is cut, and moves what fits without sizing it', function (): void {
    $sheet = Fixtures::artwork([ink_slab('p', -0.1, 1, 0.9, 2)]);
    $subject = subject_of($sheet);
    $finding = (new EdgeInk)->onSheet((new EdgeInk)->picture($subject->picture)[0], $subject);
    expect($finding->says)->toBe('Ink touches the left of the sheet and is cut there.')->and($finding->mends[0]->operations)->toHaveCount(1)
        ->and((new EdgeInk)->picture(subject_of(Fixtures::artwork([ink_slab('p', 1, 1, 2, 2)]))->picture)[0]->says)->toBe('No ink touches the edge of the sheet.');
});

it('moves a knockout onto ink the shortest way, down and up as well', function (float $top, float $to): void {
    // Ink from 1 to 3 in down; a tenth of an inch of it is left about what is moved.
    $sheet = Fixtures::artwork([ink_slab('plate', 0.5, 1, 2.5, 3), ink_slab('out', 1, $top, 2, $top + 0.4, more: ['role' => ['kind' => 'knockout', 'gap' => 0]])]);
    $after = Fixtures::edited($sheet, ...gauged(new Knockouts, $sheet)['knockout:out']->mends[0]->operations)->layer('out');
    assert($after !== null);
    $box = Fixtures::renderer()->placer->box($after);
    expect([$box?->left, $box?->top])->toEqualWithDelta([1.0, $to], 1e-3);
})->with([[0.2, 1.1], [3.3, 2.5]]);

it('judges words in a listing on the first cloth that is black, and on none where there is none', function (array $colours, string $says): void {
    $garments = array_map(fn (string $colour): array => ['name' => $colour, 'colour' => $colour], $colours);
    $sheet = Fixtures::artwork([ink_slab('plate', 0.1, 2.5, 2.9, 3.9), Fixtures::words('w', 'HEM', 2, ['placement' => ['y' => 1.2], 'effects' => [['kind' => 'fill', 'colour' => '#17181a']]])], ['garments' => $garments]);
    expect(gauged(new Thumbnail, $sheet)['thumbnail']->says)->toStartWith($says);
})->with([
    [['#e4d9c3', '#101010'], 'In a picture 200 px wide on #101010 no words read: HEM'],
    [['#e4d9c3', '#3d4a57'], 'Every line of words still reads in pictures 200 and 120 px wide.'],
]);

it('reads words that are knocked out unless the same are printed in that room', function (array $ink, bool $isTold): void {
    $out = Fixtures::words('out', 'HENRY', 1.8, ['placement' => ['flip' => 'across'], 'role' => ['kind' => 'knockout', 'gap' => 0.05]]);
    $same = Fixtures::words('ink', 'HENRY', 1.8, array_replace_recursive(['placement' => ['flip' => 'across']], $ink));
    expect(isset(gauged(new ReadingWay, Fixtures::artwork([ink_slab('plate', 0.2, 1, 2.8, 3), $out, $same]))['reads:out']))->toBe($isTold);
})->with([[[], false], [['on' => false], true], [['role' => ['kind' => 'knockout', 'gap' => 0]], true], [['source' => ['text' => 'HENRI']], true], [['placement' => ['y' => 3.6]], true]]);

it('offers to shield words that are thin by themselves and that wear takes', function (): void {
    $words = Fixtures::words('w', 'moth', 0.5, ['source' => ['font' => 'homemade-apple.woff2']]);
    $found = gauged(new WornWords, Fixtures::artwork([ink_slab('plate', 0.2, 2.6, 2.8, 3.8), $words], ['distress' => [['texture' => 'speckle', 'amount' => 0.6, 'seed' => 3]]]), 300)['word:w:0'];
    expect($found->verdict)->toBe(Verdict::Fail)->and(array_map(fn (Mend $mend): string => $mend->says, $found->mends))->toBe(['Shield moth'])
        ->and($found->says)->toContain(sprintf('of moth %s %% is gone', explode(' ', $found->figure)[0]));
});

it('says of pictures in letters how many ppi there are and how much smaller they must be shown, rounded down', function (): void {
    $folder = Fixtures::temporary('in-a-frame');
    ImageFile::writePng(Image::raw(str_repeat("\x80\x40\x20\xff", 500 * 500), 500, 500, 4), "$folder/sea.png");
    // 500 px over 1.55 in, shown 1.6 times as large: 201.6 ppi; of the size 107.5 % hold 300.
    $found = gauged_from($folder, new EffectivePpi, [ink_slab('p', 0.7, 1.2, 2.25, 2.75, more: ['name' => 'Frame', 'effects' => [1 => ['kind' => 'picture', 'file' => 'sea.png', 'scale' => 1.6]]])])['ppi:p:1'];
    expect($found->figure)->toBe('201 ppi')->and($found->says)->toContain('has 201 ppi')->toContain('Show it at 107 % of its size');
});

it('looks for filled letters only where something like their ink lies about them', function (array $effects, bool $isTold): void {
    $words = Fixtures::words('w', 'BEADS', 0.8, ['effects' => [['kind' => 'fill', 'colour' => '#f3ead7'], ...$effects]]);
    $found = gauged(new FilledLetters, Fixtures::artwork([$words]), 300)['filled:w'] ?? null;
    expect($found !== null)->toBe($isTold)->and($found->says ?? '')->toContain($found === null ? '' : sprintf('of BEADS %s %% is left', explode(' ', $found->figure)[0]));
})->with([
    'a ring of another colour' => [[['kind' => 'outline', 'width' => 0.08, 'colour' => '#1f1d1a']], false],
    'a ring of their own' => [[['kind' => 'outline', 'width' => 0.08, 'colour' => '#f3ead7']], true],
    'a ring of their own about hollow letters, which are read by their line' => [[['kind' => 'hollow', 'width' => 0.012, 'colour' => '#f3ead7'], ['kind' => 'outline', 'width' => 0.08, 'colour' => '#f3ead7']], false],
    'grown into' => [[['kind' => 'embolden', 'by' => 0.05]], true],
]);

it('keeps nothing of a rim but what it can read again', function (): void {
    $folder = Fixtures::temporary('rims');
    ImageFile::writePng(Image::raw(str_repeat("\x80\x40\x20\xff", 100 * 100), 100, 100, 4), "$folder/tile.png");
    $artwork = Fixtures::artwork([['id' => 'p', 'source' => ['kind' => 'art', 'file' => 'tile.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 1, 'height' => null]]]);
    $shelf = Fixtures::shelf($folder);
    $subject = new SheetSubject($artwork, Fixtures::renderer($shelf), $shelf, $artwork->sheet->area(), picture_of(Image::empty(30, 40), 10, $artwork));
    $layer = $artwork->layers[0];
    expect($subject->rim($layer, 100)?->colour->toHex())->toBe('#804020')->and($subject->rim($layer->withMasks([]), 100)?->isBackground())->toBeTrue()
        ->and($subject->upright($layer->moved(1, 1), 50)?->width())->toBe(50);
});
