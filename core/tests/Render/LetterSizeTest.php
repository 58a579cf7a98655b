<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\LetterSize;
use TallCrow\Compose\Edge;
use TallCrow\Edit\Align;
use TallCrow\Edit\EditRefused;
use TallCrow\Edit\Scale;
use TallCrow\Edit\SizeBy;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** @param  array<string, mixed>  $size */
function sized_words(string $text, array $size, string $id = 'w', float $y = 2.0): array
{
    return ['placement' => $size + ['x' => 1.5, 'y' => $y, 'width' => null, 'height' => null]] + Fixtures::words($id, $text, 1);
}

/** Rows of pixels with ink. */
function ink_rows(Image $image): int
{
    return (int) ($image->alpha()->isMore(127.0)->settled()->inkBox()[3] ?? 0);
}

it('sizes words by their capitals, whatever they are and however many', function (string $text): void {
    // Flat capitals alone: what is inked is as tall as a capital, within a pixel.
    expect(ink_rows(Fixtures::render(Fixtures::artwork([sized_words($text, ['capitals' => 0.4])]))))->toEqualWithDelta(120, 1);
})->with(['H', 'HIE', 'EHHIL']);

it('sizes words by the em as hb-view sets them at so many pixels', function (): void {
    $file = Fixtures::temporary('set').'/set.png';
    Fixtures::run(['hb-view', '--font-size=150', '--margin=40', '--background=ffffff', "--output-file=$file", '--output-format=png', Fixtures::unpackedFont('alfa-slab-one'), 'HIp']);
    [$width, $height] = array_map(intval(...), explode('x', trim(Fixtures::run(['convert', $file, '-threshold', '50%', '-trim', '-format', '%wx%h', 'info:']))));
    $box = Fixtures::render(Fixtures::artwork([sized_words('HIp', ['em' => 0.5])]))->alpha()->isMore(127.0)->settled()->inkBox();
    expect($box[2] ?? 0)->toEqualWithDelta($width, 1.5)->and($box[3] ?? 0)->toEqualWithDelta($height, 1.5);
});

it('keeps the letters\' size when the words change, and the words\' size when what tells it changes', function (): void {
    $artwork = Fixtures::artwork([Fixtures::words('w', 'Moth night', 2.2)]);
    $placer = Fixtures::renderer()->placer;
    $before = $placer->box($artwork->layers[0]);
    foreach (LetterSize::cases() as $by) {
        $edited = Fixtures::edited($artwork, new SizeBy(['w'], $by, null));
        expect($placer->box($edited->layers[0])?->width())->toEqualWithDelta($before?->width(), 0.002);
    }
    $scaled = Fixtures::edited($artwork, new SizeBy(['w'], LetterSize::Capitals, 0.3), new Scale(['w'], 2.0));
    expect($scaled->layers[0]->placement?->toArray())->toMatchArray(['capitals' => 0.6, 'width' => null, 'height' => null]);
});

it('brings the baselines of words into line, whatever hangs below them', function (): void {
    $artwork = Fixtures::artwork([sized_words('gypsy', ['capitals' => 0.3], 'a', 1.0), sized_words('HEN', ['capitals' => 0.3], 'b', 2.0), sized_words("Two\nlines", ['em' => 0.3], 'c', 3.0)]);
    $placer = Fixtures::renderer()->placer;
    $aligned = Fixtures::edited($artwork, new Align(['a', 'b', 'c'], Edge::Baseline, 'selection'));
    $lines = array_map(fn ($layer): ?float => $placer->baseline($layer), $aligned->layers);
    expect($lines[1])->toEqualWithDelta($lines[0], 1e-6)->and($lines[2])->toEqualWithDelta($lines[0], 1e-6)
        // HEN stands on its baseline.
        ->and($placer->box($aligned->layers[1])?->bottom)->toEqualWithDelta($lines[0], 0.01)
        ->and($placer->box($aligned->layers[0])?->bottom)->toBeGreaterThan($lines[0] + 0.03);
});

it('refuses two sizes at once, letters of what has none, and says so', function (): void {
    expect(fn () => Fixtures::artwork([sized_words('A', ['capitals' => 0.4, 'width' => 2])]))->toThrow(ArtworkInvalid::class, 'several ways')
        ->and(fn () => Fixtures::artwork([sized_words('A', [])]))->toThrow(ArtworkInvalid::class, 'neither')
        ->and(fn () => Fixtures::artwork([['placement' => ['x' => 1, 'y' => 1, 'width' => null, 'height' => null, 'em' => 1]] + Fixtures::shape('s', 'ellipse', 1)]))->toThrow(ArtworkInvalid::class, 'only words have')
        ->and(fn () => Fixtures::edited(Fixtures::artwork([Fixtures::shape('s', 'ellipse', 1)]), new SizeBy(['s'], LetterSize::Em, null)))->toThrow(EditRefused::class);
});
