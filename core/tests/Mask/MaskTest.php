<?php

declare(strict_types=1);

use TallCrow\Mask\Stroke;
use TallCrow\Mask\Symmetry;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/**
 * A plate of 2 × 2 in, 600 px from (150, 300), under masks.
 *
 * @param  list<array<string, mixed>>  $masks
 */
function plate(array $masks, float $ppi = 300, array $more = [], array $layers = []): Image
{
    return Fixtures::render(Fixtures::artwork([...$layers, ['masks' => $masks] + Fixtures::shape('plate', 'rectangle', 2, '#ff0000', $more)]), $ppi);
}

/** @param  list<array{float, float}>  $points */
function stroke_of(array $points, array $more = []): array
{
    return ['kind' => 'brush', 'strokes' => [$more + ['points' => $points, 'width' => 0.4]]];
}

/** Share of pixels of the masks that are further apart than one level, against what ImageMagick draws. */
function apart_from_magick(Image $ours, array $draw): float
{
    $folder = Fixtures::temporary('mask');
    ImageFile::writePng($ours, "$folder/ours.png", 1);
    Fixtures::run(['convert', '-size', '900x1200', 'xc:none', ...$draw, '-depth', '8', "png32:$folder/theirs.png"]);
    $theirs = ImageFile::read(PictureType::Png, "$folder/theirs.png")->asInk()->settled();
    [$a, $b] = [$ours->alpha()->toBytes(), $theirs->alpha()->toBytes()];
    $far = 0;
    for ($i = 0, $n = strlen($a); $i < $n; $i++) {
        $far += abs(ord($a[$i]) - ord($b[$i])) > 1 ? 1 : 0;
    }

    return $far / $n;
}

it('shows a plate through figures as ImageMagick draws them', function (array $mask, array $draw): void {
    expect(apart_from_magick(plate([$mask]), $draw))->toBeLessThan(0.001);
})->with([
    'rectangle' => [['kind' => 'rectangle', 'width' => 0.5, 'height' => 0.5], ['-fill', 'red', '-draw', 'rectangle 300,450 599,749']],
    'cut by hand' => [['kind' => 'freehand', 'points' => [[0, 0], [1, 0], [1, 0.5], [0, 0.5]]], ['-fill', 'red', '-draw', 'rectangle 150,300 749,599']],
    'hidden' => [['kind' => 'rectangle', 'width' => 0.5, 'height' => 2, 'x' => 0.25, 'inverted' => true], ['-fill', 'red', '-draw', 'rectangle 450,300 749,899']],
]);

it('multiplies masks as ImageMagick multiplies them', function (): void {
    $folder = Fixtures::temporary('masks');
    $soft = fn (float $x): array => ['kind' => 'ellipse', 'x' => $x, 'width' => 0.7, 'height' => 0.7, 'feather' => 0.4];
    ImageFile::writePng(plate([$soft(0.35)])->alpha(), "$folder/a.png");
    ImageFile::writePng(plate([$soft(0.65)])->alpha(), "$folder/b.png");
    ImageFile::writePng(plate([$soft(0.35), $soft(0.65)])->alpha(), "$folder/both.png");
    Fixtures::run(['convert', "$folder/a.png", "$folder/b.png", '-compose', 'Multiply', '-composite', '-depth', '8', "gray:$folder/theirs.gray"]);
    Fixtures::run(['convert', "$folder/both.png", '-depth', '8', "gray:$folder/ours.gray"]);
    [$a, $b] = [(string) file_get_contents("$folder/ours.gray"), (string) file_get_contents("$folder/theirs.gray")];
    $far = 0;
    for ($i = 0, $n = strlen($a); $i < $n; $i++) {
        $far += abs(ord($a[$i]) - ord($b[$i])) > 1 ? 1 : 0;
    }
    expect($far / $n)->toBeLessThan(0.001)->and($n)->toBe(900 * 1200);
});

it('adds a mask to those before it', function (): void {
    $half = fn (float $x, array $more = []): array => $more + ['kind' => 'rectangle', 'x' => $x, 'width' => 0.3, 'height' => 2];
    expect(plate([$half(0.15), $half(0.85)])->alpha()->area())->toEqualWithDelta(0, 1)
        ->and(plate([$half(0.15), $half(0.85, ['joining' => 'also'])])->alpha()->area())->toEqualWithDelta(2 * 0.3 * 600 * 600, 700)
        ->and(plate([$half(0.15, ['on' => false])])->alpha()->area())->toEqualWithDelta(600 * 600, 2);
});

it('erases and restores by strokes kept as points, the same at every ppi', function (): void {
    $erase = stroke_of([[0, 0.5], [1, 0.5]]);
    $both = ['kind' => 'brush', 'strokes' => [...$erase['strokes'], ['points' => [[0.5, 0], [0.5, 1]], 'width' => 0.4, 'restores' => true]]];
    // 0.4 in of 2 taken, and a cross of 0.4 × 0.4 in given back.
    expect(plate([$erase])->alpha()->area() / 90000)->toEqualWithDelta(4 - 2 * 0.4, 0.01)
        ->and(plate([$both])->alpha()->area() / 90000)->toEqualWithDelta(4 - 1.6 * 0.4, 0.01)
        ->and(plate([$erase], 60)->alpha()->area() / 3600)->toEqualWithDelta(3.2, 0.02);
    $dab = plate([stroke_of([[0.5, 0.5]])]);
    expect((4 - $dab->alpha()->area() / 90000))->toEqualWithDelta(M_PI * 0.04, 0.003);
});

it('has an edge as hard as it is told', function (float $hardness, float $least, float $most): void {
    $row = array_values((array) unpack('C*', plate([stroke_of([[0.5, -0.5], [0.5, 1.5]], ['hardness' => $hardness])])->alpha()->crop(150, 600, 600, 1)->toBytes()));
    $soft = count(array_filter($row, fn (int $v): bool => $v > 12 && $v < 243));
    expect($soft)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
})->with([[1.0, 0, 4], [0.5, 30, 90], [0.0, 70, 200]]);

it('repeats strokes about the middle, and only while it is asked to', function (Symmetry $symmetry, int $lines): void {
    $stroke = new Stroke([[0.1, 0.2], [0.3, 0.2]], 0.1, 1, false, $symmetry, 5);
    expect($stroke->lines(1.5))->toHaveCount($lines);
    $middle = fn (array $p): float => hypot($p[0] - 0.5, ($p[1] - 0.5) * 1.5);
    foreach ($stroke->lines(1.5) as $line) {
        expect($middle($line[0]))->toEqualWithDelta($middle([0.1, 0.2]), 1e-9);
    }
})->with([[Symmetry::None, 1], [Symmetry::Mirror, 2], [Symmetry::Quadrants, 4], [Symmetry::Radial, 5]]);

it('clips to the ink of another layer, wherever that stands and whether it prints', function (bool $prints): void {
    $star = ['on' => $prints] + Fixtures::shape('star', 'ellipse', 1, '#0000ff');
    $clipped = plate([['kind' => 'clip', 'layer' => 'star']], 300, [], [$star]);
    expect($clipped->alpha()->area() / 90000)->toEqualWithDelta(M_PI / 4, 0.005)->and(Fixtures::pixel($clipped, 450, 600))->toBe([255, 0, 0, 255]);
    expect(plate([['kind' => 'clip', 'layer' => 'gone']])->alpha()->area())->toEqualWithDelta(360000, 2);
})->with([true, false]);

it('clips to the ink of a layer that takes ink away as to that of any other', function (string $role): void {
    $star = ['role' => ['kind' => 'knockout', 'gap' => 0.2, 'sets' => $role === 'set in its gap']] + Fixtures::shape('star', 'ellipse', 1, '#0000ff');
    // The plate lies below, so that the layer which it is clipped to takes nothing from it.
    $plate = ['masks' => [['kind' => 'clip', 'layer' => 'star']]] + Fixtures::shape('plate', 'rectangle', 2, '#ff0000');
    $clear = Fixtures::render(Fixtures::artwork([['on' => false] + $star, $plate]));
    expect($clear->alpha()->area() / 90000)->toEqualWithDelta(M_PI / 4, 0.005)->and(Fixtures::pixel($clear, 450, 600))->toBe([255, 0, 0, 255]);
})->with(['takes ink', 'set in its gap']);

it('shows as much as a picture is light', function (): void {
    $folder = Fixtures::temporary('light');
    Fixtures::run(['convert', '-size', '100x100', 'gradient:black-white', "png32:$folder/ramp.png"]);
    $artwork = Fixtures::artwork([['masks' => [['kind' => 'picture', 'file' => 'ramp.png']]] + Fixtures::shape('plate', 'rectangle', 2, '#ff0000')]);
    $picture = Fixtures::render($artwork, 300, $folder);
    foreach ([0.2, 0.5, 0.8] as $share) {
        expect(Fixtures::pixel($picture, 450, (int) (300 + 600 * $share))[3])->toEqualWithDelta(255 * $share, 4);
    }
});

it('follows its piece when that is moved, turned and flipped', function (): void {
    $mask = ['kind' => 'freehand', 'points' => [[0, 0], [0.5, 0], [0.5, 1], [0, 1]]];
    $flipped = plate([$mask], 300, ['placement' => ['flip' => 'across']]);
    $turned = plate([$mask], 300, ['placement' => ['turn' => 90]]);
    expect($flipped->alpha()->isMore(127.0)->inkBox())->toBe([450, 300, 300, 600])->and($turned->alpha()->isMore(127.0)->inkBox())->toBe([150, 300, 600, 300]);
});

it('lays a mask\'s picture larger, shifted and turned over the box', function (): void {
    $folder = Fixtures::temporary('mask');
    Fixtures::run(['convert', '-size', '100x100', 'xc:black', '-fill', 'white', '-draw', 'rectangle 50,0 99,99', "PNG24:$folder/half.png"]);
    $left = fn (array $more): array => Fixtures::render(Fixtures::artwork([['masks' => [$more + ['kind' => 'picture', 'file' => 'half.png']]] + Fixtures::shape('plate', 'rectangle', 2, more: ['placement' => ['height' => 2]])]), 300, $folder)->alpha()->isMore(127.0)->inkBox();
    // White is the right half of the box of 150 to 750 px; half as large, shifted by half an inch, or turned by a quarter it lies elsewhere.
    expect($left([]))->toEqualWithDelta([450, 300, 300, 600], 2)->and($left(['scale' => 0.5]))->toEqualWithDelta([450, 450, 150, 300], 2)
        ->and($left(['x' => 0.5]))->toEqualWithDelta([600, 300, 150, 600], 2)->and($left(['turn' => 90]))->toEqualWithDelta([150, 600, 600, 300], 2);
});
