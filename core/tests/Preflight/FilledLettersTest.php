<?php

declare(strict_types=1);

use TallCrow\Geometry\Box;
use TallCrow\Preflight\FilledLetters;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Verdict;
use TallCrow\Raster\ImageFile;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/** @param  list<array<string, mixed>>  $effects */
function letters_with(array $effects, array $role = ['kind' => 'ink'], string $text = 'LANTERN', string $font = 'alfa-slab-one.woff2', float $width = 2.4): ?Finding
{
    $words = Fixtures::words('w', $text, $width, ['role' => $role, 'source' => ['font' => $font], 'effects' => $effects]);

    return gauged(new FilledLetters, Fixtures::artwork([ink_slab('plate', 0.1, 0.1, 2.9, 3.9, '#1f2d4a'), $words]))['filled:w'] ?? null;
}

it('tells how much of the white in and between letters a gap leaves, as ImageMagick closes and thickens them', function (string $font, string $text, float $gap): void {
    $found = letters_with([], ['kind' => 'knockout', 'gap' => $gap], $text, $font);
    $folder = Fixtures::temporary('filled');
    $words = Fixtures::artwork([Fixtures::words('w', $text, 2.4, ['source' => ['font' => $font]])]);
    $mask = Fixtures::render($words, 300)->alpha();
    ImageFile::writePng($mask, "$folder/own.png");
    // The distance of each pixel from the ink, a hundred levels to a pixel: middle to middle, so half a pixel more than from the edge.
    $beyond = fn (float $inches): string => sprintf('-morphology Distance Euclidean:7,100 -threshold %d -negate', round(100 * ($inches * 300 + 0.5)));
    $mean = fn (string $how): float => (float) Fixtures::run(['bash', '-c', "convert $how -format '%[fx:mean]' info:"]);
    exec("convert $folder/own.png -threshold 50% -trim +repage -bordercolor black -border 60 $folder/ink.png");
    exec("convert $folder/ink.png -negate $folder/cloth.png");
    // A square is swept by its two sides in turn.
    $side = 2 * (int) round((int) Fixtures::run(['convert', "$folder/own.png", '-threshold', '50%', '-trim', '-format', '%h', 'info:']) / 4) + 1;
    $close = implode(' ', array_map(fn (string $how): string => "-morphology $how Rectangle:{$side}x1 -morphology $how Rectangle:1x$side", ['Dilate', 'Erode']));
    exec("convert $folder/ink.png $close $folder/cloth.png -compose multiply -composite $folder/white.png");
    $left = 1 - $mean("$folder/white.png \\( $folder/cloth.png {$beyond($gap)} \\) -compose multiply -composite") / $mean("$folder/white.png");
    expect($found)->not->toBeNull()->and((float) $found?->figure)->toBeBetween(100 * $left - 2, 100 * $left + 2);
})->with([
    'slabs' => ['alfa-slab-one.woff2', 'LANTERN', 0.03],
    'narrow' => ['anton.woff2', 'LANTERN', 0.04],
    'a script' => ['yellowtail.woff2', 'lantern', 0.05],
]);

it('fails words that cannot be read, is wary of those that hardly can, and narrows the gap', function (float $width, float $gap, Verdict $verdict, string $mend): void {
    $role = ['kind' => 'knockout', 'gap' => $gap];
    $found = letters_with([], $role, width: $width);
    expect($found?->verdict)->toBe($verdict)->and($found?->layers)->toBe(['w'])->and($found->mends[0]->says ?? '')->toBe($mend);
    $artwork = Fixtures::artwork([ink_slab('plate', 0.1, 0.1, 2.9, 3.9), Fixtures::words('w', 'LANTERN', $width, ['role' => $role, 'source' => ['font' => 'alfa-slab-one.woff2']])]);
    $mended = Fixtures::edited($artwork, ...($found->mends[0]->operations ?? []));
    expect(gauged(new FilledLetters, $mended))->toBe([])->and($mended->layers[1]->role->gap)->toBeLessThan($gap)->and($mended->layers[1]->role->prints())->toBeFalse();
})->with([
    'wide' => [2.4, 0.08, Verdict::Fail, 'Narrow the gap of LANTERN to 0.01 in'],
    'small words' => [0.9, 0.015, Verdict::Fail, 'Leave no gap about LANTERN'],
    'a little wide' => [2.4, 0.025, Verdict::Warn, 'Narrow the gap of LANTERN to 0.01 in'],
]);

it('tells of rings, shadows and thickened letters in the colour of the letters, and of no others', function (array $effects, bool $isTold): void {
    expect(letters_with([['kind' => 'fill', 'colour' => '#f3ead7'], ...$effects]) !== null)->toBe($isTold);
})->with([
    'a ring in the same colour' => [[['kind' => 'outline', 'width' => 0.05, 'colour' => '#f3ead7']], true],
    'a ring nearly so' => [[['kind' => 'outline', 'width' => 0.05, 'colour' => '#e9dcc0']], true],
    'a ring in another' => [[['kind' => 'outline', 'width' => 0.05, 'colour' => '#b04a2c']], false],
    'two rings, the outer one alike' => [[['kind' => 'outline', 'width' => 0.04, 'colour' => '#b04a2c'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#f3ead7']], false],
    'a shadow alike' => [[['kind' => 'shadow', 'distance' => 0.12, 'angle' => 45, 'colour' => '#f3ead7', 'as' => 'solid']], true],
    'a shadow of another' => [[['kind' => 'shadow', 'distance' => 0.12, 'angle' => 45, 'colour' => '#b04a2c', 'as' => 'solid']], false],
    'emboldened' => [[['kind' => 'embolden', 'by' => 0.05]], true],
    'emboldened a little' => [[['kind' => 'embolden', 'by' => 0.006]], false],
    'hollow, ringed alike' => [[['kind' => 'hollow', 'width' => 0.012, 'colour' => '#f3ead7'], ['kind' => 'outline', 'width' => 0.02, 'colour' => '#f3ead7']], false],
]);

it('counts what lies beyond a gap as no part of the letters', function (): void {
    $ring = ['kind' => 'outline', 'width' => 0.3, 'colour' => '#f3ead7'];
    $told = fn (array ...$effects): ?Finding => letters_with([['kind' => 'fill', 'colour' => '#f3ead7'], ...array_values($effects)], text: 'MEN', font: 'limelight.woff2', width: 2.0);
    expect($told($ring))->not->toBeNull()->and($told(['kind' => 'gap', 'width' => 0.02], $ring))->toBeNull();
});

it('says nothing of words in a gap of their own, of those that make room for ink, nor of what has no white', function (array $layers): void {
    expect(gauged(new FilledLetters, Fixtures::artwork([ink_slab('plate', 0.1, 0.1, 2.9, 3.9), ...$layers])))->toBe([]);
})->with([
    'set in its gap' => [[Fixtures::words('w', 'LANTERN', 2.4, ['role' => ['kind' => 'knockout', 'gap' => 0.08, 'sets' => true]])]],
    'the same words over it' => [[Fixtures::words('w', 'LANTERN', 2.4, ['role' => ['kind' => 'knockout', 'gap' => 0.08]]), Fixtures::words('v', 'LANTERN', 2.4)]],
    'a stroke alone' => [[Fixtures::words('w', 'I', 0.3, ['role' => ['kind' => 'knockout', 'gap' => 0.08], 'source' => ['font' => 'anton.woff2']])]],
    'no gap' => [[Fixtures::words('w', 'LANTERN', 2.4, ['role' => ['kind' => 'knockout', 'gap' => 0.0]])]],
]);

it('judges words of every size by their own height', function (): void {
    $layers = [ink_slab('plate', 0.1, 0.1, 2.9, 3.9), Fixtures::words('w', "BELL\nringers of quarry road", 2.4, ['role' => ['kind' => 'knockout', 'gap' => 0.015], 'source' => ['font' => 'anton.woff2'], 'effects' => [1 => ['kind' => 'fit-lines']]])];
    $found = gauged(new FilledLetters, Fixtures::artwork($layers))['filled:w'];
    $large = Fixtures::renderer()->placer->place(Fixtures::artwork($layers)->layers[1])?->letters[0]->path->bounds();
    // The four small ones, none beside the large one.
    expect($found->where)->toHaveCount(4)->and(min(array_map(fn (Box $box): float => $box->top, $found->where)))->toBeGreaterThan($large?->bottom);
});
