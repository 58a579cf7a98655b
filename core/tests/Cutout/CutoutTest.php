<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Cutout\Background;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Cutout\CornersCross;
use TallCrow\Cutout\EdgeCare;
use TallCrow\Cutout\Straighten;
use TallCrow\Cutout\Tracing;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Morphology;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** A picture that ImageMagick draws. @param  list<string>  $draw */
function drawn(array $draw, string $size = '400x300'): Image
{
    $file = Fixtures::temporary('cut').'/p.png';
    Fixtures::run(['convert', '-size', $size, ...$draw, '-depth', '8', "png32:$file"]);

    return ImageFile::read(PictureType::Png, $file)->asInk()->settled();
}

/** A red disc with a hole of paper in it, on paper that is nearly white. */
function disc(): Image
{
    return drawn(['xc:#f6f3ec', '-fill', '#b04a2c', '-draw', 'circle 200,150 200,50', '-fill', '#f6f3ec', '-draw', 'circle 200,150 200,125']);
}

it('floods from the edge and keeps what is enclosed, unless told otherwise', function (bool $islands): void {
    $cut = Background::fromEdge(disc(), 10, $islands)->settled();
    expect(Fixtures::pixel($cut, 5, 5)[3])->toBe(0)->and(Fixtures::pixel($cut, 200, 70)[3])->toBe(255)
        ->and(Fixtures::pixel($cut, 200, 150)[3])->toBe($islands ? 0 : 255);
    $area = M_PI * (100 ** 2 - ($islands ? 25 ** 2 : 0));
    expect($cut->alpha()->area())->toEqualWithDelta($area, $area * 0.015);
})->with([true, false]);

it('leaves art whole that is free of its ground already, where it touches the edge or is cut off by it', function (array $art): void {
    $ink = drawn(['xc:none', '-fill', '#b04a2c', ...$art], '200x200');
    $cut = Background::fromEdge($ink, 14, true)->settled();
    expect($cut->toBytes())->toBe($ink->toBytes())->and(Background::enclosed($ink, 14)->settled()->inkBox())->toBeNull();
})->with(['a disc' => [['-draw', 'circle 99.5,99.5 99.5,0']], 'half a figure' => [['-draw', 'roundrectangle 40,60 160,230 40,40']]]);

it('clears a ground of which a part is gone already', function (): void {
    // A page whose right third is clear: 400 of the 1200 pixels of its rim.
    $cut = Background::fromEdge(drawn(['xc:none', '-fill', '#f6f3ec', '-draw', 'rectangle 0,0 199,299', '-fill', '#b04a2c', '-draw', 'rectangle 60,80 139,219'], '300x300'), 14, false)->settled();
    expect($cut->alpha()->area())->toEqualWithDelta(80.0 * 140, 60.0);
});

it('goes as far as its tolerance in CIEDE2000, and no further', function (): void {
    // Grey steps on white: the flood stops at the first that is more unlike white than the tolerance.
    $steps = ['xc:white'];
    $greys = ['#fafafa', '#f0f0f0', '#dcdcdc', '#c0c0c0', '#808080'];
    foreach ($greys as $i => $grey) {
        array_push($steps, '-fill', $grey, '-draw', sprintf('rectangle %d,0 %d,299', 60 + $i * 60, 119 + $i * 60));
    }
    $white = Srgb::hex('#ffffff')->toLab();
    foreach ([2.0, 6.0, 12.0] as $tolerance) {
        $cut = Background::ofColour(drawn($steps), Srgb::hex('#ffffff'), $tolerance)->settled();
        foreach ($greys as $i => $grey) {
            $off = Srgb::hex($grey)->toLab()->difference($white);
            if ($off < $tolerance - 1.5) {
                expect(Fixtures::pixel($cut, 90 + $i * 60, 150)[3])->toBe(0);
            } elseif ($off > $tolerance + 9) {
                expect(Fixtures::pixel($cut, 90 + $i * 60, 150)[3])->toBe(255);
            }
        }
    }
});

it('reckons differences as the formula does, within the step of its colours', function (): void {
    $picture = drawn(['-seed', '7', 'xc:', '+noise', 'Random'], '60x40');
    $target = Srgb::hex('#8a6f4d');
    $map = ColourKeys::of($picture)->difference([$target])->toBytes();
    $pixels = str_split($picture->toBytes(), 4);
    foreach ([0, 311, 777, 1500, 2399] as $i) {
        [$r, $g, $b] = array_values((array) unpack('C3', $pixels[$i]));
        $true = Srgb::of($r, $g, $b)->toLab()->difference($target->toLab());
        expect(ord($map[$i]) / ColourKeys::PER_UNIT)->toEqualWithDelta(min(63.75, $true), 3.0);
    }
});

it('reduces a picture to few colours and hides those that are chosen', function (): void {
    $picture = drawn(['xc:#f6f3ec', '-fill', '#b04a2c', '-draw', 'rectangle 0,0 199,299', '-fill', '#1d2740', '-draw', 'rectangle 300,0 399,299']);
    $buckets = Background::buckets($picture, 3);
    expect(array_map(fn (Swatch $b): string => $b->colour->toHex(), $buckets))->toEqualCanonicalizing(['#b04a2c', '#f6f3ec', '#1d2740'])
        ->and($buckets[0]->share)->toEqualWithDelta(0.5, 0.02);
    $cut = Background::ofBuckets($picture, 3, [Srgb::hex('#f6f3ec')])->settled();
    expect(Fixtures::pixel($cut, 250, 150)[3])->toBe(0)->and(Fixtures::pixel($cut, 100, 150)[3])->toBe(255)->and(Fixtures::pixel($cut, 350, 150)[3])->toBe(255)
        ->and(Background::ofBuckets($picture, 3, []))->toBe($picture);
});

it('moves an edge by what it is told', function (float $by): void {
    $square = drawn(['xc:none', '-fill', '#b04a2c', '-draw', 'rectangle 100,50 299,249']);
    $moved = EdgeCare::choked($square, $by)->settled();
    expect($moved->alpha()->crop(0, 148, 400, 4)->area() / 4)->toEqualWithDelta(200 - 2 * $by, 0.7);
})->with([0.5, 2.0, 5.0, -3.0]);

it('takes the background\'s colour out of a fringe', function (): void {
    $disc = drawn(['xc:#f6f3ec', '-fill', '#3a1408', '-draw', 'circle 200,150 200,50', '-blur', '0x1.2']);
    $cut = Background::fromEdge($disc, 6, false)->settled();
    $clean = EdgeCare::withoutFringe($cut, 4)->settled();
    $lightest = fn (Image $image): float => ColourBands::luminance($image)->times($image->alpha()->isMore(100.0))->range()[1];
    expect($lightest($cut))->toBeGreaterThan(60.0)->and($lightest($clean))->toBeLessThan(45.0)
        ->and($clean->alpha()->toBytes())->toBe($cut->alpha()->toBytes());
});

it('drops specks and fills pinholes under a size, and nothing larger', function (): void {
    $dusty = drawn(['xc:none', '-fill', '#1f1d1a', '-draw', 'rectangle 100,50 299,249', '-draw', 'rectangle 20,20 23,23', '-draw', 'rectangle 340,20 359,39']);
    $hole = $dusty->withAlpha($dusty->alpha()->insert(Image::empty(5, 5, 1), 150, 150)->insert(Image::empty(30, 30, 1), 220, 180))->settled();
    $tidy = EdgeCare::tidied($hole, 10, 10)->settled();
    expect(Fixtures::pixel($tidy, 21, 21)[3])->toBe(0)->and(Fixtures::pixel($tidy, 350, 30)[3])->toBe(255)
        ->and(Fixtures::pixel($tidy, 152, 152)[3])->toBe(255)->and(Fixtures::pixel($tidy, 230, 190)[3])->toBe(0)
        ->and($tidy->alpha()->area())->toEqualWithDelta(200 * 200 + 400 - 900, 1);
});

// ImageMagick's perspective distortion is the reference.
it('straightens a crooked picture by its corners as ImageMagick does', function (): void {
    $folder = Fixtures::temporary('crooked');
    Fixtures::run(['convert', '-size', '200x160', 'pattern:checkerboard', '-scale', '200%', '-depth', '8', "png32:$folder/flat.png"]);
    $corners = [[40.0, 30.0], [350.0, 10.0], [380.0, 290.0], [20.0, 250.0]];
    $ours = Straighten::corners($corners)->applied(ImageFile::read(PictureType::Png, "$folder/flat.png")->asInk()->settled());
    [$w, $h] = [$ours->width(), $ours->height()];
    $map = implode(' ', array_map(fn (array $c, array $to): string => implode(',', [...$c, ...$to]), $corners, [[0, 0], [$w, 0], [$w, $h], [0, $h]]));
    Fixtures::run(['convert', "$folder/flat.png", '-virtual-pixel', 'transparent', '-define', "distort:viewport={$w}x{$h}+0+0", '-distort', 'Perspective', $map, '-depth', '8', "png32:$folder/theirs.png"]);
    $theirs = ImageFile::read(PictureType::Png, "$folder/theirs.png")->asInk()->settled();
    [$a, $b] = [ColourBands::luminance($ours->crop(4, 4, $w - 8, $h - 8))->settled(), ColourBands::luminance($theirs->crop(4, 4, $w - 8, $h - 8))->settled()];
    expect(abs($a->mean() - $b->mean()))->toBeLessThan(1.0);
    $differ = 0;
    [$p, $q] = [$a->toBytes(), $b->toBytes()];
    for ($i = 0, $n = strlen($p); $i < $n; $i++) {
        $differ += abs(ord($p[$i]) - ord($q[$i])) > 40 ? 1 : 0;
    }
    expect($differ / $n)->toBeLessThan(0.02)->and($w)->toBe(362)->and($h)->toBe(282);
});

it('retouches what is placed and never the file', function (): void {
    $before = md5_file(Fixtures::assets().'/moth-scan.png');
    $layer = fn (array $effects): array => ['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth-scan.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.8, 'height' => null], 'effects' => $effects];
    $whole = Fixtures::render(Fixtures::artwork([$layer([])]));
    $freed = Fixtures::render(Fixtures::artwork([$layer([['kind' => 'clear-edge', 'tolerance' => 22]])]));
    $cropped = Fixtures::render(Fixtures::artwork([$layer([['kind' => 'crop', 'left' => 0.25, 'right' => 0.25]])]));
    expect($freed->alpha()->area())->toBeLessThan($whole->alpha()->area() * 0.6)->toBeGreaterThan($whole->alpha()->area() * 0.1)
        ->and($cropped->alpha()->isMore(127.0)->inkBox()[2])->toEqualWithDelta(840, 1)
        ->and($cropped->alpha()->isMore(127.0)->inkBox()[3])->toBeGreaterThan(1000)
        ->and(md5_file(Fixtures::assets().'/moth-scan.png'))->toBe($before);
    // A brush brings the paper back where it goes.
    $back = Fixtures::render(Fixtures::artwork([['masks' => [['kind' => 'brush', 'strokes' => [['points' => [[0.05, 0.1], [0.05, 0.9]], 'width' => 0.2, 'restores' => true]]]]] + $layer([['kind' => 'clear-edge', 'tolerance' => 22]])]));
    expect(Fixtures::pixel($freed, 45 + 37, 600)[3])->toBe(0)->and(Fixtures::pixel($back, 45 + 37, 600)[3])->toBe(255);
});

it('traces few colours to outlines that cover what they were traced from', function (): void {
    $picture = drawn(['xc:none', '-fill', '#b04a2c', '-draw', 'rectangle 50,50 249,249', '-fill', '#1d2740', '-draw', 'circle 150,150 150,90']);
    $svg = Tracing::svg($picture, 2);
    expect(substr_count($svg, '<path'))->toBe(2)->and($svg)->toContain('viewBox="0 0 400 300"');
    $drawing = ImageFile::drawing(str_replace('<svg ', '<svg width="400" height="300" ', $svg))->asInk();
    expect($drawing->alpha()->area())->toEqualWithDelta(200 * 200, 120)->and(Fixtures::pixel($drawing, 150, 150))->toEqualWithDelta([29, 39, 64, 255], 6)->and(Fixtures::pixel($drawing, 60, 60))->toEqualWithDelta([176, 74, 44, 255], 6);
});

it('tells each pixel the nearest of some colours, and how far that is', function (): void {
    $picture = drawn(['-seed', '9', 'xc:', '+noise', 'Random'], '40x30');
    $targets = array_map(Srgb::hex(...), ['#8a6f4d', '#204060', '#d0d8e0', '#30a040']);
    $nearest = ColourKeys::of($picture)->nearest($targets)->toBytes();
    $far = ColourKeys::of($picture)->difference($targets)->toBytes();
    foreach (str_split($picture->toBytes(), 4) as $i => $pixel) {
        $lab = Srgb::of(...array_map(ord(...), str_split(substr($pixel, 0, 3))))->toLab();
        $to = array_map(fn (Srgb $target): float => hypot($lab->l - $target->toLab()->l, $lab->a - $target->toLab()->a) ** 2 + ($lab->b - $target->toLab()->b) ** 2, $targets);
        // Colours come in steps, so one that lies between two targets may fall to either.
        expect(sqrt($to[ord($nearest[$i])]))->toBeLessThan(sqrt(min($to)) + 8);
        $off = min(array_map(fn (Srgb $target): float => $lab->difference($target->toLab()), $targets));
        expect(ord($far[$i]) / ColourKeys::PER_UNIT)->toEqualWithDelta(min(63.75, $off), 4.0);
    }
});

it('takes for background what has a good part of the rim, and not what only touches it', function (): void {
    // Blue reaches the rim along 60 of 1400 pixels, green along 300.
    $picture = drawn(['xc:#f6f3ec', '-fill', '#1d2740', '-draw', 'rectangle 100,0 159,80', '-fill', '#2f7a4a', '-draw', 'rectangle 340,0 399,239']);
    $cut = Background::fromEdge($picture, 8, false)->settled();
    expect(Fixtures::pixel($cut, 10, 10)[3])->toBe(0)->and(Fixtures::pixel($cut, 130, 40)[3])->toBe(255)->and(Fixtures::pixel($cut, 370, 100)[3])->toBe(0);
    // Where only scraps of colours lie along the rim, they are background all the same.
    $clear = $picture->withAlpha(Image::empty(400, 300, 1)->insert(Image::empty(200, 100, 1)->inverted(), 100, 100))->settled();
    expect(Background::fromEdge($clear, 8, false))->toBe($clear);
});

it('takes each corner of a crooked picture to its corner, and its diagonals to where they cross', function (): void {
    $corners = [[40.0, 30.0], [350.0, 10.0], [380.0, 290.0], [20.0, 250.0]];
    $map = Straighten::corners($corners);
    [$w, $h] = [$map->width, $map->height];
    foreach ([[0, 0], [$w, 0], [$w, $h], [0, $h]] as $i => [$x, $y]) {
        expect($map->back($x, $y))->toEqualWithDelta($corners[$i], 1e-9);
    }
    // A projection keeps lines: the middle of the flat picture lies where the diagonals of the crooked one cross.
    [[$x0, $y0], [$x1, $y1], [$x2, $y2], [$x3, $y3]] = $corners;
    $t = (($x1 - $x0) * ($y3 - $y1) - ($y1 - $y0) * ($x3 - $x1)) / (($x2 - $x0) * ($y3 - $y1) - ($y2 - $y0) * ($x3 - $x1));
    expect($map->back($w / 2, $h / 2))->toEqualWithDelta([$x0 + $t * ($x2 - $x0), $y0 + $t * ($y2 - $y0)], 1e-9);
    // As large as the longer sides, whichever they are.
    foreach ([[[0, 0], [100, 0], [90, 60], [0, 50]], [[0, 0], [90, 0], [100, 50], [0, 60]], [[10, 0], [90, 0], [100, 50], [0, 50]]] as $other) {
        $turned = Straighten::corners($other);
        $side = fn (int $a, int $b): float => hypot($other[$a][0] - $other[$b][0], $other[$a][1] - $other[$b][1]);
        expect([$turned->width, $turned->height])->toBe([(int) round(max($side(0, 1), $side(3, 2))), (int) round(max($side(0, 3), $side(1, 2)))]);
    }
});

it('leaves a picture as it is whose corners are its own', function (int $width, int $height): void {
    $picture = drawn(['-seed', '3', 'xc:', '+noise', 'Random', '-blur', '0x1'], "{$width}x$height");
    $same = Straighten::corners([[0, 0], [$width, 0], [$width, $height], [0, $height]])->applied($picture);
    expect([$same->width(), $same->height()])->toBe([$width, $height]);
    [$a, $b] = [$picture->crop(2, 2, $width - 4, $height - 4)->toBytes(), $same->crop(2, 2, $width - 4, $height - 4)->toBytes()];
    $off = 0;
    for ($i = 0, $n = strlen($a); $i < $n; $i++) {
        $off = max($off, abs(ord($a[$i]) - ord($b[$i])));
    }
    expect($off)->toBeLessThanOrEqual(2);
})->with([[64, 48], [65, 47], [100, 33]]);

it('refuses corners that cross or turn inwards', function (array $corners): void {
    expect(fn () => Straighten::corners($corners))->toThrow(CornersCross::class);
})->with([
    'two changed about' => [[[0, 0], [100, 100], [100, 0], [0, 100]]], 'round the wrong way' => [[[0, 0], [0, 100], [100, 100], [100, 0]]],
    'first inwards' => [[[60, 60], [100, 0], [100, 100], [0, 100]]], 'second inwards' => [[[0, 0], [40, 60], [100, 100], [0, 100]]],
    'third inwards' => [[[0, 0], [100, 0], [40, 40], [0, 100]]], 'last inwards' => [[[0, 0], [100, 0], [100, 100], [60, 40]]],
    'three in line' => [[[0, 0], [50, 0], [100, 0], [0, 100]]],
]);

it('leaves an edge alone that is to move by nothing', function (): void {
    $square = drawn(['xc:none', '-fill', '#b04a2c', '-draw', 'rectangle 100,50 299,249']);
    expect(EdgeCare::choked($square, 0.04))->toBe($square)->and(EdgeCare::choked($square, -0.04))->toBe($square)->and(EdgeCare::withoutFringe($square, 0.2))->toBe($square)
        ->and(EdgeCare::choked($square, 0.06))->not->toBe($square);
    // Moving never adds ink inwards nor takes it outwards.
    expect(EdgeCare::choked($square, 2)->alpha()->minus($square->alpha())->range()[1])->toBeLessThanOrEqual(0.0)
        ->and($square->alpha()->minus(EdgeCare::choked($square, -2)->alpha())->range()[1])->toBeLessThanOrEqual(0.0);
});

it('counts a speck as small by the square of its width', function (): void {
    $speck = fn (int $side): Image => drawn(['xc:none', '-fill', '#1f1d1a', '-draw', sprintf('rectangle 20,20 %d,%d', 19 + $side, 19 + $side)]);
    expect(EdgeCare::tidied($speck(9), 10, 0)->alpha()->area())->toEqualWithDelta(0.0, 0.5)
        ->and(EdgeCare::tidied($speck(10), 10, 0)->alpha()->area())->toEqualWithDelta(100.0, 0.5)
        ->and(EdgeCare::tidied($speck(9), 0, 10)->alpha()->area())->toEqualWithDelta(81.0, 0.5);
});

it('straightens a placed picture by the corners that its line states', function (): void {
    $folder = Fixtures::temporary('straighten');
    // A rust quadrilateral that fills its corners; straightened, it fills the piece.
    Fixtures::run(['convert', '-size', '400x400', 'xc:white', '-fill', '#b04a2c', '-draw', 'polygon 40,80 360,40 380,340 20,380', "PNG32:$folder/crooked.png"]);
    $corners = ['x1' => 0.1, 'y1' => 0.2, 'x2' => 0.9, 'y2' => 0.1, 'x3' => 0.95, 'y3' => 0.85, 'x4' => 0.05, 'y4' => 0.95];
    $piece = Fixtures::render(Fixtures::artwork([['id' => 'c', 'source' => ['kind' => 'art', 'file' => 'crooked.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null], 'effects' => [['kind' => 'straighten'] + $corners]]]), 300, $folder);
    [$left, $top, $width, $height] = $piece->alpha()->isMore(127.0)->inkBox() ?? [0, 0, 0, 0];
    foreach ([[10, 10], [$width - 10, 10], [10, $height - 10], [$width - 10, $height - 10], [intdiv($width, 2), intdiv($height, 2)]] as [$x, $y]) {
        expect(Fixtures::pixel($piece, $left + $x, $top + $y))->toEqualWithDelta([176, 74, 44, 255], 3);
    }
});

// The truth is what was laid on the ground: alpha and colour of each pixel are known.
/** @return array{float, float, float, float} mean error of alpha (0 to 1) and of colour (levels) along the edges, partial pixels and ink for each of the truth's */
function offTruth(Image $truth, Image $cut): array
{
    $was = $truth->alpha();
    $edge = $was->isMore(4.0)->both($was->isLess(251.0))->settled();
    $over = fn (Image $off, Image $where): float => $off->operation('abs')->multiplied($where->linear(1 / 255))->mean() * $where->width() * $where->height() / $where->area();
    $seen = $cut->alpha()->isMore(25.0)->both($was->isMore(25.0))->both($edge);

    return [
        $over($cut->alpha()->linear(1)->minus($was->linear(1)), $edge) / 255,
        $over($cut->band(0, 3)->linear(1)->minus($truth->band(0, 3)->linear(1)), $seen),
        $cut->alpha()->isMore(4.0)->both($cut->alpha()->isLess(251.0))->area() / $edge->area(),
        $cut->alpha()->area() / $was->area(),
    ];
}

it('takes edges apart from their ground: alpha and colour as they were before it was laid there', function (array $layers, string $ground, float $noise, float $alphaOff, float $colourOff): void {
    $truth = Fixtures::render(Fixtures::artwork($layers));
    $laid = Composition::onCloth($truth, Srgb::hex($ground));
    if ($noise > 0) {
        $folder = Fixtures::temporary('noise');
        ImageFile::writePng($laid, "$folder/flat.png");
        Fixtures::run(['convert', "$folder/flat.png", '-seed', '4', '-attenuate', (string) $noise, '+noise', 'Gaussian', "PNG24:$folder/noisy.png"]);
        $laid = ImageFile::read(PictureType::Png, "$folder/noisy.png")->band(0, 3);
    }
    [$alpha, $colour, $partial, $whole] = offTruth($truth, Background::fromEdge($laid->asInk()->settled(), 14, true)->settled());
    expect($alpha)->toBeLessThan($alphaOff)
        ->and($colour)->toBeLessThan($colourOff)
        ->and($partial)->toBeGreaterThan(0.85)
        ->and($whole)->toEqualWithDelta(1.0, 0.02);
})->with([
    'letters on white' => [fn () => [Fixtures::words('w', "Rye\nBell", 2.6, ['effects' => [['kind' => 'fill', 'colour' => '#7a3527']]])], '#ffffff', 0.0, 0.008, 6.0],
    'letters on teal' => [fn () => [Fixtures::words('w', "Rye\nBell", 2.6, ['effects' => [['kind' => 'fill', 'colour' => '#7a3527']]])], '#40a090', 0.0, 0.008, 4.0],
    'letters on grain' => [fn () => [Fixtures::words('w', "Rye\nBell", 2.6, ['effects' => [['kind' => 'fill', 'colour' => '#7a3527']]])], '#e8e0d0', 0.05, 0.009, 5.0],
    'a line of three pixels' => [fn () => [Fixtures::words('w', 'Quarry', 2.6, ['source' => ['font' => 'mr-dafoe.woff2'], 'effects' => [['kind' => 'hollow', 'width' => 0.01, 'colour' => '#203040']]])], '#ffffff', 0.0, 0.01, 8.0],
    'a pen of one to three pixels' => [fn () => [Fixtures::words('w', 'Moth night,
bells and kites', 1.5, ['source' => ['font' => 'homemade-apple.woff2'], 'effects' => [['kind' => 'fill', 'colour' => '#4a2c18']]])], '#ffffff', 0.0, 0.016, 9.0],
    'a pen of half a pixel to one and a half' => [fn () => [Fixtures::words('w', 'Moth night,
bells and kites', 0.75, ['source' => ['font' => 'homemade-apple.woff2'], 'effects' => [['kind' => 'fill', 'colour' => '#4a2c18']]])], '#ffffff', 0.0, 0.016, 10.0],
]);

it('leaves none of a grainy ground beside what it cuts out', function (): void {
    $truth = Fixtures::render(Fixtures::artwork([Fixtures::words('w', "Rye\nBell", 2.6, ['effects' => [['kind' => 'fill', 'colour' => '#7a3527']]])]));
    mt_srand(29);
    // A block of a bell four levels wide, made of twelve even numbers each.
    $block = implode('', array_map(fn (): string => chr((int) round(128 + 4 * (array_sum(array_map(fn (): float => mt_rand() / mt_getrandmax(), range(1, 12))) - 6))), range(1, 3 * 64 * 64)));
    $grain = Image::raw($block, 64, 64, 3)->tiled(0, 0, $truth->width(), $truth->height());
    $laid = Composition::onCloth($truth, Srgb::hex('#c0b8a0'))->linear(1.0)->plus($grain->linear(1.0, -128.0))->linearByte(1.0);
    $cut = Background::fromEdge($laid->asInk()->settled(), 14, true)->settled();
    $beside = Morphology::grown($truth->alpha()->isMore(0.0))->inverted();
    expect($cut->alpha()->isMore(2.0)->both($beside)->area())->toBeLessThan(20.0);
});

it('goes by lightness along the edges of a JPEG, which keeps colour at half the size', function (string $ink, string $ground, float $alphaOff, float $colourOff): void {
    $truth = Fixtures::render(Fixtures::artwork([Fixtures::words('w', "Rye\nBell", 2.6, ['effects' => [['kind' => 'fill', 'colour' => $ink]]])]));
    $folder = Fixtures::temporary('jpeg');
    ImageFile::writePng(Composition::onCloth($truth, Srgb::hex($ground)), "$folder/flat.png");
    Fixtures::run(['convert', "$folder/flat.png", '-sampling-factor', '4:2:0', '-quality', '92', "$folder/flat.jpg"]);
    $laid = ImageFile::read(PictureType::Jpeg, "$folder/flat.jpg")->asInk()->settled();
    [$alpha, $colour, , $whole] = offTruth($truth, Background::fromEdge($laid, 14, true)->settled());
    expect($alpha)->toBeLessThan($alphaOff)
        ->and($colour)->toBeLessThan($colourOff)
        ->and($whole)->toEqualWithDelta(1.0, 0.02);
    // What is kept of it from one line of retouching to the next goes by lightness, too.
    ImageFile::writeMapped($laid, "$folder/kept.v");
    expect(ImageFile::mapped("$folder/kept.v")->has(ImageFile::JPEG_NOTE))->toBeTrue();
})->with([
    'red on white' => ['#d4244a', '#ffffff', 0.04, 10.0],
    'orange on navy' => ['#ff9a20', '#182048', 0.03, 13.0],
    'green on pink' => ['#106030', '#ffb0c8', 0.03, 9.0],
]);
