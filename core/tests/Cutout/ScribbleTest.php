<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Cutout\Background;
use TallCrow\Cutout\LeastCut;
use TallCrow\Cutout\Pockets;
use TallCrow\Cutout\Scribble;
use TallCrow\Cutout\Subject;
use TallCrow\Cutout\Tracing;
use TallCrow\Cutout\Unmixing;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Morphology;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** @param  list<string>  $made  what ImageMagick makes of */
function made_picture(array $made): Image
{
    $file = Fixtures::temporary('made').'/made.png';
    Fixtures::run(['convert', ...$made, '-alpha', 'set', "PNG32:$file"]);

    return ImageFile::read(PictureType::Png, $file)->settled();
}

/** Share of what either of two masks holds that both hold. */
function overlap(Image $one, Image $other): float
{
    return $one->lesser($other)->area() / max(1.0, $one->lighter($other)->area());
}

it('finds the least cut of a network from a text book', function (): void {
    // Cormen, Leiserson, Rivest, Stein, "Introduction to Algorithms", the flow network of figure 26.1: greatest flow 23, the sink's side {v3, t}.
    $cut = new LeastCut(4);
    [$v1, $v2, $v3, $v4] = [0, 1, 2, 3];
    $cut->node($v1, 16, 0);
    $cut->node($v2, 13, 0);
    $cut->node($v3, 0, 20);
    $cut->node($v4, 0, 4);
    foreach ([[$v1, $v3, 12], [$v2, $v1, 4], [$v3, $v2, 9], [$v2, $v4, 14], [$v4, $v3, 7]] as [$from, $to, $room]) {
        $cut->way($from, $to, $room);
    }
    expect($cut->cut())->toBe([true, true, false, true])->and($cut->flow)->toEqualWithDelta(23.0, 1e-9);
});

it('draws a scribble as broad as its share of the longer side, and a closed shape as all within', function (): void {
    // From the left third to the right one, a tenth of 300 broad with round ends; on a page that stands upright the same turned.
    foreach ([[300, 120, [[1 / 3, 0.5], [2 / 3, 0.5]]], [120, 300, [[0.5, 1 / 3], [0.5, 2 / 3]]]] as [$width, $height, $points]) {
        $scribbles = [new Scribble($points, 0.1, true), new Scribble([[0.0, 0.0], [0.5, 0.0], [0.0, 0.5]], 0.0, false)];
        expect(Scribble::mask($scribbles, true, $width, $height)->area())->toEqualWithDelta(100 * 30 + M_PI * 15 ** 2, 30)
            ->and(Scribble::mask($scribbles, false, $width, $height)->area())->toEqualWithDelta($width * $height / 8, 1);
    }
    // Never less than a pixel and a half.
    expect(Scribble::mask([new Scribble([[0.2, 0.5], [0.8, 0.5]], 0.001, true)], true, 100, 100)->area())->toEqualWithDelta(60 * 1.5 + M_PI * 0.75 ** 2, 2);
});

it('keeps a subject before a busy ground by two rough scribbles', function (int $seed, int $points): void {
    $star = '';
    for ($i = 0; $i < 60; $i++) {
        $far = 200 * (0.75 + 0.25 * sin($points * 2 * M_PI * $i / 60));
        $star .= sprintf('%.1f,%.1f ', 400 + $far * cos(2 * M_PI * $i / 60), 300 + $far * sin(2 * M_PI * $i / 60));
    }
    $folder = Fixtures::temporary('busy');
    Fixtures::run(['convert', '-size', '800x600', '-seed', (string) $seed, 'plasma:olive-forestgreen', '-attenuate', '0.6', '+noise', 'Gaussian', "$folder/ground.png"]);
    Fixtures::run(['convert', '-size', '800x600', '-seed', (string) ($seed + 1), 'plasma:orangered-gold', '-attenuate', '0.4', '+noise', 'Gaussian', "$folder/subject.png"]);
    Fixtures::run(['convert', '-size', '800x600', 'xc:black', '-fill', 'white', '-draw', "polygon $star", '-blur', '0x0.7', "$folder/truth.png"]);
    $photo = made_picture(["$folder/ground.png", "$folder/subject.png", "$folder/truth.png", '-composite']);
    $truth = made_picture(["$folder/truth.png"])->band(0)->settled();
    $keep = new Scribble([[0.5, 0.42], [0.47, 0.58], [0.55, 0.5]], 0.02, true);
    $drop = new Scribble([[0.06, 0.1], [0.9, 0.08], [0.93, 0.9], [0.1, 0.92], [0.06, 0.1]], 0.02, false);
    $off = fn (Image $alpha): float => $alpha->minus($truth)->multiplied($alpha->minus($truth))->mean() / 255 ** 2;
    $cut = Subject::of($photo, [$keep, $drop])->alpha()->settled();
    expect(overlap($cut, $truth))->toBeGreaterThan(0.97)->and($off($cut))->toBeLessThan(0.01)
        // Without a word on what goes, the rim does.
        ->and(overlap(Subject::of($photo, [$keep])->alpha()->settled(), $truth))->toBeGreaterThan(0.95)
        ->and(Subject::of($photo, [$drop]))->toBe($photo);
})->with([[4, 5], [11, 3], [23, 7]]);

it('keeps what was scribbled on up to its rim though the ground is of its colour, and nothing that only looks like it', function (): void {
    $folder = Fixtures::temporary('saucer');
    // A saucer as brown as the table, with a pale rim and a white cup on it; a white flower lies elsewhere.
    Fixtures::run(['convert', '-size', '800x600', '-seed', '6', 'xc:#7c401f', '-attenuate', '1.5', '+noise', 'Gaussian', '-blur', '0x2', '-fill', '#d8b090', '-draw', 'circle 300,320 300,120', '-fill', '#7c401f', '-draw', 'circle 300,320 300,123',
        '-fill', '#f2ece0', '-draw', 'circle 300,300 300,220', '-draw', 'circle 700,90 700,40', '-blur', '0x0.7', "$folder/photo.png"]);
    $truth = made_picture(['-size', '800x600', 'xc:black', '-fill', 'white', '-draw', 'circle 300,320 300,120'])->band(0)->settled();
    $keep = new Scribble([[0.2, 0.62], [0.3, 0.78], [0.5, 0.7], [0.38, 0.5]], 0.02, true);
    $drop = new Scribble([[0.05, 0.05], [0.06, 0.93], [0.9, 0.93], [0.7, 0.3], [0.3, 0.05]], 0.02, false);
    $cut = Subject::of(made_picture(["$folder/photo.png"]), [$keep, $drop])->alpha()->settled();
    expect(overlap($cut, $truth))->toBeGreaterThan(0.97)->and($cut->crop(640, 30, 120, 120)->area())->toBe(0.0);
});

it('cuts a small subject as closely as a large one', function (): void {
    $drawn = fn (string $ground, string $body, string $head): array => ['-size', '4000x3000', $ground, '-fill', $body, '-draw', 'ellipse 2600,1400 90,60 0,360', '-fill', $head, '-draw', 'circle 2690,1400 2690,1375'];
    $photo = made_picture([...$drawn('gradient:#5f8a30-#87a860', '#c03020', '#202020'), '-blur', '0x1.2']);
    $truth = made_picture($drawn('xc:black', 'white', 'white'))->band(0)->settled();
    $keep = new Scribble([[0.637, 0.467], [0.65, 0.46], [0.672, 0.467]], 0.003, true);
    $cut = Subject::of($photo, [$keep, new Scribble([[0.6, 0.4], [0.72, 0.4], [0.72, 0.54], [0.6, 0.54], [0.6, 0.4]], 0.01, false)])->alpha()->settled();
    expect(overlap($cut, $truth))->toBeGreaterThan(0.97);
});

it('keeps an edge whole before a ground like wood, along a rim and lights of other colours', function (): void {
    $folder = Fixtures::temporary('wood');
    Fixtures::run(['convert', '-size', '400x400', 'xc:gray50', '-seed', '5', '-attenuate', '2', '+noise', 'Gaussian', '-blur', '0x1', '-motion-blur', '0x5+30', '-colorspace', 'gray', '-normalize', '-colorspace', 'sRGB', '+level-colors', '#7a4822,#d8a878', "PNG24:$folder/ground.png"]);
    Fixtures::run(['convert', '-size', '400x400', 'xc:#a02810', '-seed', '7', '-attenuate', '0.4', '+noise', 'Gaussian', '-fill', 'none', '-stroke', '#8c2010', '-strokewidth', '4', '-draw', 'circle 200,200 200,52',
        '-stroke', '#f0d8c8', '-strokewidth', '1.5', '-draw', 'stroke-dasharray 3 17 circle 200,200 200,56', "PNG24:$folder/subject.png"]);
    Fixtures::run(['convert', '-size', '1600x1600', 'xc:black', '-fill', 'white', '-draw', 'circle 800,800 800,200', '-scale', '400x400', '-depth', '8', "$folder/truth.png"]);
    [$photo, $truth] = [made_picture(["$folder/ground.png", "$folder/subject.png", "$folder/truth.png", '-composite']), made_picture(["$folder/truth.png"])->band(0)->settled()];
    $off = Unmixing::edgesOfShape($photo, $truth->isLess(128.0)->settled())->alpha()->linear(1)->minus($truth->linear(1))->operation('abs')->settled();
    // By colours alone 262 pixels were off by a quarter and more, some of them well within the edge.
    expect($off->isMore(64.0)->area())->toBeLessThan(50.0);
});

it('takes the rim for what goes though a small subject lies by it, and bears any scribble', function (): void {
    // A disc at the foot of a wall, near the edge of the picture.
    $photo = made_picture(['-size', '1200x900', 'xc:#8a8f94', '-fill', '#c03020', '-draw', 'circle 600,820 600,760', '-blur', '0x1']);
    $truth = made_picture(['-size', '1200x900', 'xc:black', '-fill', 'white', '-draw', 'circle 600,820 600,760'])->band(0)->settled();
    expect(overlap(Subject::of($photo, [new Scribble([[0.48, 0.9], [0.52, 0.92]], 0.01, true)])->alpha()->settled(), $truth))->toBeGreaterThan(0.97);
    foreach ([[[[2.5, -1.0]], 0.01], [[[0.5, 0.5]], 0.0], [[[0.0, 0.0], [1.0, 1.0]], 1.0]] as [$points, $width]) {
        foreach ([$photo, made_picture(['-size', '3x2', 'xc:#8a8f94']), made_picture(['-size', '1x300', 'gradient:red-blue'])] as $picture) {
            $cut = Subject::of($picture, [new Scribble($points, $width, true)])->settled();
            expect([$cut->width(), $cut->height()])->toBe([$picture->width(), $picture->height()]);
        }
    }
});

/** Three discs of white within a dark bar, on white; the first is open to the edge. */
function garland(): Image
{
    return made_picture(['-size', '400x200', 'xc:white', '-fill', '#203050', '-draw', 'rectangle 20,40 380,160', '-fill', 'white', '-draw', 'circle 90,100 90,70 rectangle 80,20 100,100 circle 200,100 200,60 circle 310,100 310,80']);
}

it('names pockets of a background and clears the ones that were chosen', function (): void {
    $picture = garland();
    $pockets = Pockets::of(Background::enclosed($picture, 12));
    expect(count($pockets))->toBe(2)->and($pockets[0]['x'] * 400)->toEqualWithDelta(200, 42)->and($pockets[1]['x'] * 400)->toEqualWithDelta(310, 22)
        ->and($pockets[0]['share'])->toEqualWithDelta(M_PI * 1600 / 80000, 0.002);
    $cleared = Background::fromEdge($picture, 12, false, [new Scribble([[$pockets[1]['x'], $pockets[1]['y']]], 0.004, false)])->alpha();
    $mean = fn (int $x): float => $cleared->crop($x - 5, 95, 10, 10)->mean();
    expect($mean(310))->toBeLessThan(1.0)->and($mean(200))->toBeGreaterThan(254.0)->and($mean(90))->toBeLessThan(1.0);
});

it('cuts a subject along its own edge, its colours free of the ground, though both are as light', function (string $subject, string $ground): void {
    $folder = Fixtures::temporary('edge');
    foreach (['ground' => $ground, 'subject' => $subject] as $name => $colours) {
        Fixtures::run(['convert', '-size', '80x60', '-seed', '5', "plasma:$colours", '-resize', '800x600!', "$folder/$name.png"]);
    }
    Fixtures::run(['convert', '-size', '3200x2400', 'xc:black', '-fill', 'white', '-draw', 'ellipse 1600,1200 1000,700 0,360', '-draw', 'rectangle 1500,300 1700,1200', '-scale', '800x600!', "$folder/truth.png"]);
    $photo = made_picture(["$folder/ground.png", "$folder/subject.png", "$folder/truth.png", '-composite']);
    [$truth, $own] = [made_picture(["$folder/truth.png"])->band(0)->settled(), made_picture(["$folder/subject.png"])->band(0, 3)->settled()];
    $cut = Subject::of($photo, [
        new Scribble([[0.3, 0.5], [0.7, 0.5], [0.5, 0.5], [0.5, 0.16]], 0.02, true),
        new Scribble([[0.05, 0.05], [0.95, 0.05], [0.95, 0.95], [0.05, 0.95], [0.05, 0.05]], 0.04, false),
    ])->settled();
    $edge = $truth->isMore(6.0)->both($truth->isLess(249.0))->settled();
    $over = fn (Image $off, Image $where): float => $off->operation('abs')->multiplied($where->linear(1 / 255))->mean() * $where->width() * $where->height() / $where->area();
    // By luminance alone, and with the ground's colour left in it, the first was 0.12 to 0.23.
    expect($over($cut->alpha()->linear(1)->minus($truth->linear(1)), $edge) / 255)->toBeLessThan(0.03)
        ->and($over($cut->band(0, 3)->linear(1)->minus($own->linear(1)), $edge->both($cut->alpha()->isMore(50.0))->settled()))->toBeLessThan(8.0)
        ->and($cut->alpha()->isMore(4.0)->both(Morphology::dilated($truth, 7)->isMore(2.0)->inverted())->area())->toBe(0.0)
        ->and($cut->alpha()->isLess(251.0)->both(Morphology::eroded($truth, 7)->isMore(253.0))->area())->toBe(0.0);
})->with([
    'green before purple' => ['#4ab038-#58a030', '#9048b8-#a05090'],
    'blue before green, as light' => ['#8088e0-#9878d8', '#28a868-#38b050'],
    'rust before slate' => ['#b04a2c-#a86030', '#405868-#506478'],
]);

it('keeps a pale subject at the edge behind a painted hint', function (): void {
    // A white plate that runs off the picture's foot, with a dark rim at its sides alone.
    $picture = made_picture(['-size', '300x200', 'xc:white', '-fill', '#203050', '-draw', 'rectangle 80,60 90,199 rectangle 210,60 220,199 rectangle 80,60 220,70']);
    $inside = fn (array $hints): float => Background::fromEdge($picture, 12, false, $hints)->alpha()->crop(140, 120, 20, 20)->mean();
    expect($inside([]))->toBeLessThan(1.0)->and($inside([new Scribble([[0.28, 0.985], [0.72, 0.985]], 0.02, true)]))->toBeGreaterThan(254.0);
});

it('finds hidden buckets again when their number changes, and keeps edges smooth', function (): void {
    $picture = made_picture(['-size', '400x400', 'xc:#fdfdf4', '-fill', '#b04a2c', '-draw', 'circle 200,200 200,80']);
    $hidden = [Background::buckets($picture, 2)[0]->colour];
    expect($hidden[0]->toHex())->not->toBe('#b04a2c');
    foreach ([2, 5, 9] as $count) {
        $cleared = Background::ofBuckets($picture, $count, $hidden)->alpha()->settled();
        expect($cleared->crop(5, 5, 20, 20)->mean())->toBeLessThan(1.0)->and($cleared->crop(190, 190, 20, 20)->mean())->toBeGreaterThan(254.0)
            // The area of the disc to a pixel of its rim, and partial pixels along it as a smooth edge has.
            ->and($cleared->area())->toEqualWithDelta(M_PI * 120 ** 2, 2 * M_PI * 120 * 0.5);
        $partial = $cleared->isMore(12.0)->both($cleared->isLess(243.0))->area() / (2 * M_PI * 120);
        expect($partial)->toBeGreaterThan(0.6)->toBeLessThan(2.2);
    }
    expect(Background::bucketOf(Background::buckets($picture, 4), Srgb::hex('#2060ff')))->toBeNull();
});

it('paints what it traced for 300 pixels to an inch, and no larger than 6000 a side', function (int $width, int $height, float $perInch, int $factor): void {
    expect(Tracing::factor($width, $height, $perInch, 300.0))->toBe($factor);
})->with([
    'a sixth as fine' => [100, 80, 50.0, 6], 'nearly fine enough' => [100, 80, 290.0, 2], 'fine enough' => [100, 80, 400.0, 1],
    'as large as may be' => [80, 3000, 10.0, 2], 'larger than that' => [7000, 80, 10.0, 1], 'less than a pixel to an inch' => [100, 80, 0.2, 60],
]);

it('traces a small picture to the shape that it was made from', function (): void {
    // Made at 1200 px and brought down to 100, as a small logo is; traced and painted at 12 times its size.
    $shape = 'circle 600,600 600,150 polygon 150,1100 600,700 1050,1100';
    $truth = made_picture(['-size', '1200x1200', 'xc:white', '-fill', '#203050', '-draw', $shape])->band(0)->isLess(128.0)->settled();
    $small = made_picture(['-size', '1200x1200', 'xc:white', '-fill', '#203050', '-draw', $shape, '-filter', 'box', '-resize', '100x100']);
    $traced = Tracing::painted($small, 2, 12);
    expect([$traced->width(), $traced->height()])->toBe([1200, 1200]);
    $dark = $traced->band(0)->isLess(128.0)->settled();
    $off = $dark->both($truth->inverted())->either($truth->both($dark->inverted()))->area();
    // The mean distance between the two outlines, in pixels of the small picture: under a fifth of one.
    $outline = 2 * M_PI * 450 + 2 * hypot(450, 400) + 900;
    expect($off / $outline / 12)->toBeLessThan(0.2);
});

it('retouches within an area alone', function (): void {
    $folder = Fixtures::temporary('area');
    copy(Fixtures::assets().'/rock-pool.png', "$folder/pool.png");
    $drawn = fn (array $lines): Image => Fixtures::render(Fixtures::artwork([['id' => 'p', 'source' => ['kind' => 'art', 'file' => 'pool.png', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => 2], 'effects' => $lines]]), 150, $folder);
    $plain = $drawn([]);
    $left = $drawn([['kind' => 'tone', 'brightness' => 0.5, 'contrast' => 0, 'area' => [['points' => [[-0.1, -0.1], [0.5, -0.1], [0.5, 1.1], [-0.1, 1.1]], 'width' => 0, 'keeps' => true]]]]);
    $off = fn (int $x): float => $left->crop($x, 150, 60, 300)->band(0)->minus($plain->crop($x, 150, 60, 300)->band(0))->linear(1.0)->raised(2.0)->mean();
    expect($off(90))->toBeGreaterThan(4.0)->and($off(300))->toBe(0.0);
});

it('works as lines of a sheet: a subject kept, a picture traced, what masks left tidied', function (): void {
    $folder = Fixtures::temporary('lines');
    Fixtures::run(['convert', '-size', '60x60', 'xc:white', '-fill', '#203050', '-draw', 'circle 30,30 30,10', "PNG32:$folder/dot.png"]);
    $drawn = fn (array $more): Image => Fixtures::render(Fixtures::artwork([$more + ['id' => 'd', 'source' => ['kind' => 'art', 'file' => 'dot.png', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 1.5, 'width' => 2, 'height' => 2]]]), 300, $folder);
    $kept = $drawn(['effects' => [['kind' => 'subject', 'scribbles' => [['points' => [[0.5, 0.5]], 'width' => 0.1, 'keeps' => true]]]]])->alpha();
    expect($kept->area())->toEqualWithDelta(M_PI * 200 ** 2, 0.06 * M_PI * 200 ** 2);
    // Traced, an edge runs from full to none within a pixel or two of the print, where ten pixels of it were one of the file's.
    $partial = fn (Image $image): float => $image->band(0)->isMore(60.0)->both($image->band(0)->isLess(225.0))->crop(160, 160, 580, 580)->area() / (2 * M_PI * 200);
    expect($partial($drawn(['effects' => [['kind' => 'traced', 'count' => 2]]])))->toBeLessThan(2.0)->and($partial($drawn([])))->toBeGreaterThan(5.0);
    $placer = (new TallCrow\Render\Renderer(Fixtures::shelf($folder)))->placer;
    $layer = fn (array $effects): TallCrow\Artwork\Layer => Fixtures::artwork([['id' => 'd', 'source' => ['kind' => 'art', 'file' => 'dot.png'], 'placement' => ['x' => 1.5, 'y' => 1.5, 'width' => 2, 'height' => 2], 'effects' => $effects]])->layers[0];
    expect($placer->effectivePpi($layer([])))->toBeLessThan(31.0)->and($placer->effectivePpi($layer([['kind' => 'traced', 'count' => 2]])))->toBeNull();
    // A plate and a crumb that masks leave: the crumb goes, the plate stays as it is.
    $plate = fn (array $lines): Image => Fixtures::render(Fixtures::artwork([['effects' => [['kind' => 'fill', 'colour' => '#b04a2c'], ...$lines], 'masks' => [
        ['kind' => 'rectangle', 'x' => 0.25, 'y' => 0.5, 'width' => 0.3, 'height' => 0.5, 'feather' => 0], ['kind' => 'ellipse', 'x' => 0.8, 'y' => 0.5, 'width' => 0.015, 'height' => 0.015, 'feather' => 0, 'joining' => 'also'],
    ]] + Fixtures::shape('p', 'rectangle', 2)]))->alpha()->isMore(127.0)->settled();
    $tidy = $plate([['kind' => 'tidied', 'specks' => 0.05]]);
    expect(TallCrow\Raster\Morphology::regions($plate([]))[1])->toBe(3)->and(TallCrow\Raster\Morphology::regions($tidy)[1])->toBe(2)
        ->and($tidy->crop(0, 0, 540, 1200)->area())->toBe($plate([])->crop(0, 0, 540, 1200)->area());
});
