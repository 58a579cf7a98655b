<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkReader;
use TallCrow\Mask\BrushMask;
use TallCrow\Mask\ClipMask;
use TallCrow\Mask\FreehandMask;
use TallCrow\Mask\Joining;
use TallCrow\Mask\Mask;
use TallCrow\Mask\MaskRings;
use TallCrow\Mask\MaskShape;
use TallCrow\Mask\PictureMask;
use TallCrow\Mask\ShapeMask;
use TallCrow\Mask\Stroke;
use TallCrow\Mask\Symmetry;
use TallCrow\Mask\Usual;
use TallCrow\Tests\Fixtures;

/** @return array<string, array{Mask}> one of each kind, with nothing left at what it usually is */
function masksOfEachKind(): array
{
    $usual = new Usual(inverted: true, joining: Joining::cases()[1], on: false, rings: MaskRings::Around);
    $stroke = new Stroke([[0.1, 0.2], [0.3, 0.4]], 0.4, 0.6, true, Symmetry::Radial, 5);

    return [
        'a figure' => [new ShapeMask(MaskShape::Star, 0.2, 0.3, 0.4, 0.6, 0.25, 7, $usual)],
        'a cut by hand' => [new FreehandMask([[0.1, 0.2], [0.9, 0.2], [0.5, 0.8]], 0.25, $usual)],
        'a brush' => [new BrushMask([$stroke], $usual)],
        'a picture' => [new PictureMask('moth.svg', $usual)],
        'another layer' => [new ClipMask('kite', $usual)],
    ];
}

it('is written and read again as it was', function (Mask $mask): void {
    $sheet = Fixtures::sheet([['masks' => [$mask->toArray()]] + Fixtures::shape('plate', 'rectangle', 2), Fixtures::shape('kite', 'rectangle', 1)]);
    expect(ArtworkReader::data($sheet)->layers[0]->masks)->toEqual([$mask]);
})->with(masksOfEachKind(...));

it('keeps what all masks have when it is sized or made hard', function (Mask $mask): void {
    foreach ([$mask->scaled(2.0), $mask->hard()] as $changed) {
        expect($changed::class)->toBe($mask::class)->and($changed->isInverted())->toBeTrue()->and($changed->isOn())->toBeFalse()->and($changed->joining())->toBe(Joining::cases()[1])
            ->and($changed->toArray()['rings'] ?? '')->toBe('around');
    }
})->with(masksOfEachKind(...));

it('is as it was when it is sized there and back', function (Mask $mask): void {
    expect($mask->scaled(4.0)->scaled(0.25))->toEqual($mask);
})->with(masksOfEachKind(...));

it('sizes lengths in inches and leaves shares of the box alone', function (): void {
    $masks = masksOfEachKind();
    $figure = $masks['a figure'][0]->scaled(3.0)->toArray();
    expect($figure['feather'])->toBe(0.75)->and([$figure['x'], $figure['y'], $figure['width'], $figure['height'], $figure['count']])->toBe([0.2, 0.3, 0.4, 0.6, 7]);
    $cut = $masks['a cut by hand'][0]->scaled(3.0)->toArray();
    expect($cut['feather'])->toBe(0.75)->and($cut['points'])->toBe([[0.1, 0.2], [0.9, 0.2], [0.5, 0.8]]);
    $brush = $masks['a brush'][0]->scaled(3.0)->toArray()['strokes'][0];
    expect($brush['width'])->toEqualWithDelta(1.2, 1e-12)->and($brush['hardness'])->toBe(0.6)->and($brush['points'])->toBe([[0.1, 0.2], [0.3, 0.4]])->and($brush['count'])->toBe(5)->and($brush['symmetry'])->toBe('radial')->and($brush['restores'])->toBeTrue();
});

it('is soft by its feather alone, and hard once that is gone', function (float $feather): void {
    foreach ([new ShapeMask(MaskShape::Ellipse, 0.5, 0.5, 1, 1, $feather), new FreehandMask([[0, 0], [1, 0], [1, 1]], $feather)] as $mask) {
        expect($mask->isSoft())->toBe($feather > 0)->and($mask->hard()->isSoft())->toBeFalse();
    }
})->with([0.0, 0.001, 1.5]);

it('says for itself what it needs and how it came about', function (): void {
    $say = fn (Mask $mask): array => [$mask->files(), $mask->clipsTo(), $mask->isDrawn(), $mask->isSoft()];
    expect(array_map(fn (array $one): array => $say($one[0]), masksOfEachKind()))->toBe([
        'a figure' => [[], null, false, true], 'a cut by hand' => [[], null, true, true], 'a brush' => [[], null, true, false],
        'a picture' => [['moth.svg'], null, false, false], 'another layer' => [[], 'kite', false, false],
    ])->and((new PictureMask(''))->files())->toBe([]);
});

it('goes round nothing with fewer than three points', function (): void {
    expect((new FreehandMask([[0, 0], [1, 1]], 0))->outline()->isEmpty())->toBeTrue()
        ->and((new FreehandMask([[0, 0], [1, 0], [1, 1]], 0))->outline()->isEmpty())->toBeFalse();
});

// Plain geometry: images of (0.25, 0.5) about the middle of a box twice as wide as it is high.
it('has the images of a stroke that its symmetry asks for', function (): void {
    $lines = fn (Symmetry $symmetry, int $count = 6, float $ratio = 1.0): array => array_map(fn (array $line): array => [round($line[0][0], 9), round($line[0][1], 9)], (new Stroke([[0.25, 0.375]], 0.1, 1, false, $symmetry, $count))->lines($ratio));
    expect($lines(Symmetry::None))->toBe([[0.25, 0.375]])
        ->and($lines(Symmetry::Mirror))->toBe([[0.25, 0.375], [0.75, 0.375]])
        ->and($lines(Symmetry::Quadrants))->toBe([[0.25, 0.375], [0.75, 0.375], [0.25, 0.625], [0.75, 0.625]])
        // Four turns of a quarter each: (−¼, −⅛) goes to (⅛, −¼), (¼, ⅛), (−⅛, ¼).
        ->and($lines(Symmetry::Radial, 4))->toBe([[0.25, 0.375], [0.625, 0.25], [0.75, 0.625], [0.375, 0.75]])
        // In a box half as high the same turn keeps lengths in inches: (−¼, −1/16) goes to (1/16, −¼), which is half the height.
        ->and($lines(Symmetry::Radial, 4, 0.5)[1])->toBe([0.5625, 0.0])
        ->and($lines(Symmetry::Radial, 1))->toBe([[0.25, 0.375]])->and(count($lines(Symmetry::Radial, 0)))->toBe(1)->and(count($lines(Symmetry::Radial, 7)))->toBe(7);
});

it('turns every point of a radial stroke by as much', function (): void {
    $stroke = new Stroke([[0.5, 0.2], [0.7, 0.4], [0.9, 0.5]], 0.1, 1, false, Symmetry::Radial, 5);
    foreach ($stroke->lines(0.8) as $i => $line) {
        foreach ($line as $at => [$x, $y]) {
            [$x0, $y0] = [$stroke->points[$at][0] - 0.5, ($stroke->points[$at][1] - 0.5) * 0.8];
            expect(hypot($x - 0.5, ($y - 0.5) * 0.8))->toEqualWithDelta(hypot($x0, $y0), 1e-9);
            $turned = fmod(atan2(($y - 0.5) * 0.8, $x - 0.5) - atan2($y0, $x0) + 4 * M_PI, 2 * M_PI);
            expect(min(abs($turned - 2 * M_PI * $i / 5), 2 * M_PI - abs($turned - 2 * M_PI * $i / 5)))->toEqualWithDelta(0.0, 1e-9);
        }
    }
});

it('moves a picture with the piece when that is sized, and turns and scales it as before', function (): void {
    $sized = (new PictureMask('moth.svg', new Usual, 1.5, 0.4, -0.6, 30.0))->scaled(2.5);
    expect([$sized->file, $sized->scale, $sized->x, $sized->y, $sized->turn])->toBe(['moth.svg', 1.5, 1.0, -1.5, 30.0]);
});

it('shows within a mask, switched on, unless it is said otherwise', function (): void {
    expect((new Usual)->toArray())->toBe(['inverted' => false, 'joining' => 'within', 'on' => true, 'rings' => 'cut'])->and((new PictureMask(''))->files())->toBe([])->and((new PictureMask('a.png'))->files())->toBe(['a.png']);
});
