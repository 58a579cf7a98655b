<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Sheet;
use TallCrow\Gang\GangCut;
use TallCrow\House\Fit;
use TallCrow\House\FitMode;
use TallCrow\House\Fitting;
use TallCrow\House\HousePlace;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Measure\Refit;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** A plate of 2 × 1 in from (0.5, 0.5) on a sheet of 3 × 2 in, worn, with one stroke that spares and one that adds, each in a symmetry. */
function brushed_plate(string $spares = 'none', string $adds = 'none'): Artwork
{
    return Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2.0, '#c04030', ['placement' => ['x' => 1.5, 'y' => 1.0, 'width' => 2.0, 'height' => 1.0]])], [
        'sheet' => ['width' => 900, 'height' => 600, 'ppi' => 300],
        'distress' => [['texture' => 'speckle', 'amount' => 0.3, 'seed' => 4, 'x' => 0.1, 'strokes' => [
            ['points' => [[0.2, 0.4], [0.45, 0.35]], 'width' => 0.25, 'hardness' => 1, 'restores' => true, 'symmetry' => $spares, 'count' => 5],
            ['points' => [[0.3, 0.6], [0.6, 0.7]], 'width' => 0.2, 'hardness' => 1, 'restores' => false, 'symmetry' => $adds, 'count' => 3],
        ]]],
    ]);
}

/** Share of the first picture's pixels whose alpha is off by more than an eighth. */
function off_by(Image $one, Image $other): float
{
    return $one->alpha()->minus($other->alpha())->operation('abs')->isMore(32.0)->mean() / 255;
}

it('takes the wear of a design along where it is laid on another sheet', function (string $spares, string $adds, float $x, float $y): void {
    $was = brushed_plate($spares, $adds);
    $is = $was->laidOn(new Sheet(1500, 1200, Ppi::of(300)), Refit::by(1.0, $x, $y));
    $whole = Fixtures::render($was, 100);
    $window = fn (Artwork $laid): Image => Fixtures::render($laid, 100)->crop((int) round($x * 100), (int) round($y * 100), 300, 200)->settled();
    expect(off_by($whole, $window($is)))->toBeLessThan(0.003)
        // As it would be without: the marks are seen to be elsewhere.
        ->and(off_by($whole, $window($is->withDistress($was->distress))))->toBeGreaterThan(0.02);
})->with([['none', 'none', 0.5, 1.0], ['mirror', 'none', 1.0, 0.5], ['radial', 'quadrants', 0.25, 0.75], ['mirror', 'radial', 1.0, 1.0]]);

it('spares the same letters when it is sized, within the measures of a stroke', function (): void {
    $was = brushed_plate('mirror', 'none');
    $is = $was->refitted(PrintArea::pixels('', 450, 700, Ppi::of(300)));
    // At twice the pixels to the inch half the size has as many.
    $half = Fixtures::render($is, 600)->crop(0, 400, 900, 600)->settled();
    $spared = fn (Image $ink): Image => $ink->alpha()->crop(230, 215, 140, 25)->settled();
    expect($spared(Fixtures::render($was))->mean())->toBe(255.0)->and($spared($half)->mean())->toBe(255.0)
        ->and(ArtworkReader::data($is->toArray())->toArray())->toBe($is->toArray());
});

it('is read again wherever it was laid, however many images its strokes have and however small it became', function (): void {
    $strokes = array_fill(0, 9, ['points' => [[0.2, 0.4], [0.45, 0.35]], 'width' => 0.02, 'hardness' => 1, 'restores' => true, 'symmetry' => 'radial', 'count' => 60]);
    $masks = [['kind' => 'ellipse', 'feather' => 3.0], ['kind' => 'freehand', 'points' => [[0.1, 0.1], [0.9, 0.2], [0.5, 0.9]], 'feather' => 2.5], ['kind' => 'brush', 'strokes' => [$strokes[0]]]];
    $was = Fixtures::artwork([
        Fixtures::shape('plate', 'rectangle', 2.0, more: ['masks' => $masks]),
        ['role' => ['kind' => 'knockout', 'gap' => 1.5]] + Fixtures::shape('hole', 'star', 0.5),
    ], ['distress' => [['texture' => 'speckle', 'amount' => 0.3, 'strokes' => $strokes]]]);
    foreach ([Refit::by(0.1, 0.3, 0.0), Refit::by(1.0, 0.5, 1.0), Refit::by(2.0, -1.0, 0.0)] as $refit) {
        $is = $was->laidOn(new Sheet(1500, 1200, Ppi::of(300)), $refit)->toArray();
        expect(ArtworkReader::data($is)->toArray())->toBe($is);
    }
});

it('cuts a design for film with its wear, and fits it to a house with it', function (): void {
    $was = brushed_plate('mirror', 'quadrants');
    $plate = Fixtures::render($was)->crop(150, 150, 600, 300)->settled();
    $cut = GangCut::of($was, null, Ppi::of(300), Fixtures::renderer());
    expect(off_by($plate, Fixtures::render($cut)->crop(0, 0, 600, 300)->settled()))->toBeLessThan(0.003);

    $place = new HousePlace('Tee', 'Front', PrintArea::inches('Tee, Front', 5, 6, Ppi::of(300)), 200, 0.0);
    foreach ([FitMode::Inches, FitMode::Place] as $mode) {
        $fit = Fit::of($was, $place, Fitting::by($mode), Fixtures::renderer());
        [$left, $top] = [(int) round($fit->ink->left * 300), (int) round($fit->ink->top * 300)];
        expect(off_by($plate, Fixtures::render($fit->artwork)->crop($left, $top, 600, 300)->settled()))->toBeLessThan(0.003);
    }
});
