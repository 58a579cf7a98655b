<?php

declare(strict_types=1);

use TallCrow\Geometry\Path;
use TallCrow\Raster\ImageFile;
use TallCrow\Tests\Fixtures;
use TallCrow\Type\Alignment;
use TallCrow\Type\Font;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;
use TallCrow\Type\Setting;
use TallCrow\Type\Stand;
use TallCrow\Type\Typesetter;

function font(string $name = 'alfa-slab-one'): Font
{
    return Font::fromBytes((string) file_get_contents(Fixtures::assets()."/$name.woff2"));
}

dataset('fonts', fn (): array => array_map(
    fn (string $file): string => basename($file, '.woff2'),
    glob(Fixtures::assets().'/*.woff2') ?: [],
));

// Debian's hb-shape is the reference for glyph choice, advances and offsets.
it('shapes as hb-shape does', function (string $name): void {
    $sample = 'AVATAR To Wylie, office fi fl 0123456789 (a-b) & "x" !?';
    $theirs = json_decode(Fixtures::run(['hb-shape', '--no-glyph-names', '--output-format=json', Fixtures::unpackedFont($name), $sample]), true);
    $font = font($name);
    $ours = array_map(fn ($g): array => [
        'g' => $g->id, 'cl' => $g->cluster,
        'dx' => (int) round($g->shiftX * $font->unitsPerEm), 'dy' => (int) round(-$g->shiftY * $font->unitsPerEm),
        'ax' => (int) round($g->advance * $font->unitsPerEm), 'ay' => 0,
    ], $font->shape($sample));
    expect($ours)->toEqual($theirs);
})->with('fonts');

// hb-view draws the same glyphs by a path of its own: the ink must be as wide and as high, in ems.
it('gives the outlines that hb-view draws', function (string $name): void {
    // Letters, digits and punctuation; the Hebrew cut has letters alone.
    $sample = str_ends_with($name, '-hebrew') ? 'עפיפון' : 'Hamburg 27, (No. 8)!?';
    $file = Fixtures::temporary('view').'/page.png';
    Fixtures::run(['hb-view', '--output-format=png', '--font-size=500', '--margin=450', "--output-file=$file", Fixtures::unpackedFont($name), $sample]);
    $ink = ImageFile::read(TallCrow\Raster\PictureType::Png, $file)->band(0)->isLess(128.0)->settled();
    [, , $width, $height] = $ink->inkBox() ?? [0, 0, 0, 0];

    $letters = Typesetter::set($sample, font($name), new Setting(Alignment::Left, 1));
    $box = Path::join(...array_map(fn (Letter $l): Path => $l->path, $letters))->bounds();
    expect($box->width() * 500)->toEqualWithDelta($width, 2.0)
        ->and($box->height() * 500)->toEqualWithDelta($height, 2.0);
})->with('fonts');

it('names a missing glyph and never sets a box', function (): void {
    Typesetter::set("Kite → ж\nday ж", font(), new Setting(Alignment::Left, 1));
})->throws(MissingGlyphs::class, 'Alfa Slab One has no → (U+2192), ж (U+0436). Choose another font or other words.');

it('adds letter-spacing between letters and not after the last', function (): void {
    $plain = Typesetter::set('KITE', font(), new Setting(Alignment::Left, 1));
    $wide = Typesetter::set('KITE', font(), new Setting(Alignment::Left, 1, 100));
    foreach ($plain as $i => $letter) {
        expect($wide[$i]->path->bounds()->left - $letter->path->bounds()->left)->toEqualWithDelta($i * 0.1, 1e-9);
    }
});

it('sets lines under one another and aligns them', function (Alignment $align): void {
    $letters = Typesetter::set("BELLS\nI", font(), new Setting($align, 0.8));
    $first = Path::join(...array_map(fn (Letter $l): Path => $l->path, array_filter($letters, fn (Letter $l): bool => $l->line === 0)))->bounds();
    $second = Path::join(...array_map(fn (Letter $l): Path => $l->path, array_filter($letters, fn (Letter $l): bool => $l->line === 1)))->bounds();
    expect($second->bottom - 0.8)->toEqualWithDelta(0.0, 0.02);
    match ($align) {
        Alignment::Left => expect($second->left)->toEqualWithDelta($first->left, 0.05),
        Alignment::Centre => expect($second->centreX())->toEqualWithDelta($first->centreX(), 0.05),
        Alignment::Right => expect($second->right)->toEqualWithDelta($first->right, 0.05),
    };
})->with(Alignment::cases());

it('sets nothing for an empty line', fn () => expect(Typesetter::set("A\n\nB", font(), new Setting(Alignment::Left, 1)))->toHaveCount(2));

it('sets nothing for blank words', function (): void {
    expect(Typesetter::set("  \n ", font(), new Setting(Alignment::Left, 1)))->toBe([]);
});

it('refuses what FreeType refuses, with its reason', function (string $bytes, string $reason): void {
    expect(fn () => Font::fromBytes($bytes))->toThrow(FontRefused::class, $reason);
})->with([
    'words' => ['this is no font', 'FreeType says'],
    'nothing' => ['', 'FreeType says'],
    'half a font' => [fn () => substr((string) file_get_contents(Fixtures::assets().'/rye.woff2'), 0, 4000), 'FreeType says'],
]);

it('keeps a larger letter in line at its foot, its head or its middle', function (): void {
    // A capital that reaches from 0.7 em above the baseline to the baseline, half as large again.
    [$top, $by] = [-0.7, 1.5];
    $larger = fn (Stand $stand): array => [$top * $by + $stand->shift($top, $by), $stand->shift($top, $by)];
    expect($larger(Stand::Baseline))->toEqualWithDelta([-1.05, 0.0], 1e-9)->and($larger(Stand::Top))->toEqualWithDelta([-0.7, 0.35], 1e-9)
        ->and(array_sum($larger(Stand::Middle)) / 2)->toEqualWithDelta(-0.35, 1e-9);
});

it('marks a letter that a font does not have by a frame in its place, and sets the others as they are', function (): void {
    $font = Fixtures::shelf()->font('anton.woff2');
    $setting = new Setting(Alignment::Left, 1);
    $whole = Typesetter::set('MOTH', $font, $setting);
    $gapped = Typesetter::set('MOЖTH', $font, $setting, gaps: true);
    expect(array_map(fn (Letter $letter): bool => $letter->isGap, $gapped))->toBe([false, false, true, false, false])
        ->and($gapped[2]->characters)->toBe('Ж')->and($gapped[1]->path)->toEqual($whole[1]->path)
        ->and($gapped[2]->path->bounds()->top)->toEqualWithDelta(-0.7, 1e-9)
        ->and($gapped[3]->path->bounds()->left - $whole[2]->path->bounds()->left)->toBeGreaterThan(0.2)
        // An inner edge and an outer one.
        ->and($gapped[2]->path->contours(0.01))->toHaveCount(2);
    Typesetter::set('MOЖTH', $font, $setting);
})->throws(MissingGlyphs::class, 'Anton has no Ж (U+0416)');
