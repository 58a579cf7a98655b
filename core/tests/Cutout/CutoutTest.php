<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Cutout\Background;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Cutout\EdgeCare;
use TallCrow\Cutout\Straighten;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\Tracing;
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
