<?php

declare(strict_types=1);

use TallCrow\Look\Dots;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\Screen;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

// Tone is held when the inked share of the screen is the strength that was asked for.
it('holds the tone within two in a hundred, whatever the dots', function (Dots $dots, int $level): void {
    $strength = Image::empty(1200, 1200, 1)->linearByte(1, $level)->settled();
    $cut = (new Screen(35, 33, $dots))->cut($strength, PrintGrid::ofInk(300, [17, 90]));
    expect($cut->mean() / 255)->toEqualWithDelta($level / 255, 0.02)->and(array_sum(Histogram::of($cut)) - Histogram::of($cut)[0] - Histogram::of($cut)[255])->toBe(0);
})->with(Dots::cases())->with([8, 26, 77, 128, 200, 245]);

it('leaves full ink full and none none', function (): void {
    $screen = new Screen(35, 45, Dots::Round);
    expect($screen->cut(Image::empty(300, 300, 1)->inverted(), PrintGrid::ofInk(300, [0, 0]))->mean())->toBe(255.0)
        ->and($screen->cut(Image::empty(300, 300, 1), PrintGrid::ofInk(300, [0, 0]))->mean())->toBe(0.0);
});

it('has as many lines to the inch as asked', function (float $lpi): void {
    $cut = (new Screen($lpi, 90, Dots::Line))->cut(Image::empty(1200, 4, 1)->linearByte(1, 128)->settled(), PrintGrid::ofInk(300, [0, 0]));
    $row = $cut->crop(0, 1, 1200, 1)->toBytes();
    expect(preg_match_all('/\x00\xff/', $row))->toEqualWithDelta($lpi * 4, 1);
})->with([20.0, 45.0]);

it('stays in place on the sheet, so that a part is cut as the whole is', function (): void {
    $screen = new Screen(30, 20, Dots::Ellipse);
    $all = $screen->cut(Image::empty(600, 600, 1)->linearByte(1, 100)->settled(), PrintGrid::ofInk(300, [0, 0]));
    $part = $screen->cut(Image::empty(200, 150, 1)->linearByte(1, 100)->settled(), PrintGrid::ofInk(300, [250, 310]));
    expect($part->toBytes())->toBe($all->crop(250, 310, 200, 150)->toBytes());
});

/** @param  list<array<string, mixed>>  $effects */
function looked(array $effects, array $more = [], float $ppi = 300): Image
{
    return Fixtures::render(Fixtures::artwork([array_replace(Fixtures::shape('plate', 'rectangle', 2, '#b04a2c'), ['effects' => [['kind' => 'fill', 'colour' => '#b04a2c'], ...$effects]], $more)]), $ppi);
}

it('turns a feather into solid dots of the same strength', function (): void {
    $mask = ['masks' => [['kind' => 'ellipse', 'width' => 0.7, 'height' => 0.7, 'feather' => 0.8]]];
    $soft = looked([], $mask);
    $dots = looked([['kind' => 'halftone', 'lpi' => 40]], $mask);
    $levels = Histogram::of($dots->alpha());
    expect($dots->alpha()->area() / $soft->alpha()->area())->toEqualWithDelta(1.0, 0.02)
        ->and(array_sum($levels) - $levels[0] - $levels[255])->toBe(0);
    // Ring by ring, too: where the feather is half gone the dots take half.
    $ring = fn (Image $image): float => $image->alpha()->crop(330, 540, 240, 120)->mean();
    expect($ring($dots))->toEqualWithDelta($ring($soft), 255 * 0.02);
});

it('prints a picture in one to four solid inks', function (array $inks): void {
    $layer = ['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null], 'effects' => [['kind' => 'halftone-inks', 'inks' => $inks, 'lpi' => 30]]];
    $picture = Fixtures::render(Fixtures::artwork([$layer]));
    $seen = [];
    foreach (str_split($picture->crop(300, 500, 300, 200)->toBytes(), 4) as $pixel) {
        [$r, $g, $b, $a] = array_values((array) unpack('C4', $pixel));
        $seen[$a === 0 ? 'cloth' : sprintf('#%02x%02x%02x %d', $r, $g, $b, $a)] = true;
    }
    foreach (array_keys($seen) as $colour) {
        expect($colour === 'cloth' || in_array(substr((string) $colour, 0, 7), $inks, true))->toBeTrue((string) $colour);
    }
    expect(count($seen))->toBeGreaterThan(1);
})->with([[['#17404a']], [['#17404a', '#c8452c']], [['#17404a', '#2f6f73', '#d6ebe6', '#c8452c']]]);

it('leaves a photocopy of one ink and cloth, more of it above a lower threshold', function (): void {
    $layer = fn (float $threshold): Image => Fixtures::render(Fixtures::artwork([['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null], 'effects' => [['kind' => 'photocopied', 'threshold' => $threshold, 'colour' => '#1f1d1a']]]]));
    [$much, $little] = [$layer(0.7), $layer(0.3)];
    expect($much->alpha()->area())->toBeGreaterThan($little->alpha()->area())
        ->and($much->alpha()->area())->toBeGreaterThan(1000.0);
});

it('roughens edges and keeps the ink about as large', function (): void {
    $plain = looked([]);
    $rough = looked([['kind' => 'roughened', 'by' => 0.04, 'size' => 0.1]]);
    expect($rough->alpha()->area() / $plain->alpha()->area())->toEqualWithDelta(1.0, 0.02);
    // Straight edges are straight no longer: the left edge wanders by more than a pixel or two.
    $edges = [];
    for ($y = 400; $y < 800; $y += 5) {
        $edges[] = strpos($rough->alpha()->isMore(127.0)->crop(100, $y, 200, 1)->toBytes(), "\xff");
    }
    expect(max($edges) - min($edges))->toBeGreaterThan(4)->toBeLessThan(40);
});

it('is soft over the breadth of an airbrush, stamped in places, and posterised to so many colours', function (): void {
    $row = array_values((array) unpack('C*', looked([['kind' => 'airbrushed', 'softness' => 0.2]])->alpha()->crop(0, 600, 450, 1)->toBytes()));
    expect(count(array_filter($row, fn (int $v): bool => $v > 5 && $v < 250)))->toEqualWithDelta(60, 16);
    $stamped = looked([['kind' => 'stamped', 'amount' => 0.3]]);
    expect($stamped->alpha()->area() / looked([])->alpha()->area())->toBeLessThan(0.85)->toBeGreaterThan(0.55);
    $picture = Fixtures::render(Fixtures::artwork([['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null], 'effects' => [['kind' => 'posterised', 'count' => 4]]]]));
    $colours = [];
    foreach (str_split($picture->toBytes(), 4) as $pixel) {
        if (ord($pixel[3]) === 255) {
            $colours[substr($pixel, 0, 3)] = true;
        }
    }
    expect(count($colours))->toBe(4);
});

it('stamps thinly inside and keeps the ink along the edges', function (): void {
    $stamped = looked([['kind' => 'stamped', 'amount' => 0.5]])->alpha();
    // The plate goes from (150, 300) to (749, 899); a rim of 3 px is a hundredth of an inch.
    $share = fn (int $x, int $y, int $w, int $h): float => $stamped->crop($x, $y, $w, $h)->mean() / 255;
    expect($share(151, 400, 3, 400))->toBeGreaterThan(0.75)->and($share(250, 301, 400, 3))->toBeGreaterThan(0.75)->and($share(745, 400, 3, 400))->toBeGreaterThan(0.75)
        ->and($share(250, 400, 400, 400))->toEqualWithDelta(0.5, 0.06)
        // A tenth of an inch in, the edge no longer counts.
        ->and($share(180, 400, 20, 400))->toBeLessThan(0.6)->and($share(700, 400, 20, 400))->toBeLessThan(0.6);
});

/** A drawing of two colours, its edges soft by one pixel; words and a group of the same. */
function two_coloured(array $effects, string $as = 'group'): Image
{
    $left = Fixtures::shape('left', 'ellipse', 1.4, '#c8452c', ['placement' => ['x' => 1.1]]);
    $right = Fixtures::shape('right', 'rectangle', 1.2, '#1d4e89', ['placement' => ['x' => 2.0]]);

    return Fixtures::render(Fixtures::artwork([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [$left, $right]], 'effects' => $effects]]));
}

it('changes one colour of many to another and keeps soft edges and the others', function (): void {
    $before = two_coloured([]);
    $after = two_coloured([['kind' => 'swap-colour', 'from' => '#c8452c', 'to' => '#20a060', 'tolerance' => 10]]);
    expect(Fixtures::pixel($after, 250, 600))->toBe([0x20, 0xA0, 0x60, 255])->and(Fixtures::pixel($after, 620, 600))->toBe([0x1D, 0x4E, 0x89, 255])
        ->and($after->alpha()->toBytes())->toBe($before->alpha()->toBytes());
    // Nothing of the old colour is left where both meet: every pixel of a row goes from one to the other.
    foreach (str_split($after->crop(100, 600, 600, 1)->toBytes(), 4) as $pixel) {
        [$r, $g, $b, $a] = array_values((array) unpack('C4', $pixel));
        expect($a > 200 && $r > 0x20 + 60)->toBeFalse();
    }
});

it('leaves the edge of two colours alone that passes through the one that is swapped', function (): void {
    $disc = fn (string $id, float $x, float $width, string $colour): array => Fixtures::shape($id, 'ellipse', $width, $colour, ['placement' => ['x' => $x]]);
    // The edge of black and white is grey for a pixel; the grey disc lies further on.
    $layers = [Fixtures::shape('ground', 'rectangle', 4.0, '#ffffff', ['placement' => ['x' => 2.0, 'y' => 2.0]]), $disc('black', 1.1, 1.4, '#000000'), $disc('grey', 2.6, 1.0, '#808080')];
    $drawn = fn (array $effects): Image => Fixtures::render(Fixtures::artwork([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => $layers], 'effects' => $effects]]));
    $after = $drawn([['kind' => 'swap-colour', 'from' => '#808080', 'to' => '#ff0000', 'tolerance' => 12]]);
    $red = $after->band(0)->isMore(150.0)->both($after->band(1)->isLess(100.0));
    $grey = $drawn([]);
    $was = $grey->band(0)->isMore(120.0)->both($grey->band(0)->isLess(136.0));
    expect($red->crop(0, 0, 570, $red->height())->area())->toBe(0.0)->and($red->area())->toEqualWithDelta($was->crop(600, 0, $was->width() - 600, $was->height())->area(), 500);
});

it('swaps colours of a part as of the whole, wherever the part is cut', function (): void {
    $layers = [Fixtures::shape('ground', 'rectangle', 3.0, '#ffffff', ['placement' => ['x' => 1.5, 'y' => 1.5]]), Fixtures::shape('black', 'ellipse', 2.0, '#000000', ['placement' => ['x' => 1.5, 'y' => 1.5]]), Fixtures::shape('grey', 'star', 1.2, '#808080', ['placement' => ['x' => 1.5, 'y' => 1.5]])];
    $artwork = Fixtures::artwork([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => $layers], 'effects' => [['kind' => 'swap-colour', 'from' => '#808080', 'to' => '#ff0000', 'tolerance' => 12]]]]);
    $whole = Fixtures::renderer()->picture($artwork, Frame::sheet($artwork->sheet, 300))->settled();
    foreach ([[150, 200, 80, 90], [290, 300, 41, 300], [445, 148, 9, 12], [300, 430, 300, 7]] as $part) {
        expect(Fixtures::renderer()->picture($artwork, new Frame(300.0, ...$part))->toBytes())->toBe($whole->crop(...$part)->toBytes());
    }
    // A mask of a group lies on its ink: what a look sees about it adds none.
    $placer = Fixtures::renderer()->placer;
    expect($placer->reach($artwork->layers[0]))->toEqual($placer->reach($artwork->layers[0]->withEffects([])));
});

it('turns hues, makes colours vivid or grey, and inverts them, on groups as on pictures', function (): void {
    // A turn of 360° is none, and grey has no hue; the luminance of a turned colour stays (Filter Effects, hueRotate).
    $pixel = fn (array $effect): array => array_slice(Fixtures::pixel(two_coloured([$effect]), 620, 600), 0, 3);
    $grey = $pixel(['kind' => 'hue', 'by' => 0, 'vivid' => 0]);
    $turned = $pixel(['kind' => 'hue', 'by' => 60, 'vivid' => 1]);
    $light = fn (array $c): float => 0.213 * $c[0] + 0.715 * $c[1] + 0.072 * $c[2];
    expect($pixel(['kind' => 'hue', 'by' => 360, 'vivid' => 1]))->toEqualWithDelta([0x1D, 0x4E, 0x89], 1)->and(max($grey) - min($grey))->toBeLessThanOrEqual(1)
        ->and($light($turned))->toEqualWithDelta($light([0x1D, 0x4E, 0x89]), 2.0)->and($turned)->not->toEqualWithDelta([0x1D, 0x4E, 0x89], 20)
        ->and($pixel(['kind' => 'invert']))->toBe([255 - 0x1D, 255 - 0x4E, 255 - 0x89]);
});

it('smooths a noisy face and keeps its edge', function (string $character): void {
    $folder = Fixtures::temporary('face');
    Fixtures::run(['convert', '-size', '300x300', 'xc:#808080', '-fill', '#d0d0d0', '-draw', 'rectangle 150,0 300,300', '-seed', '2', '-attenuate', '0.3', '+noise', 'Gaussian', "PNG24:$folder/face.png"]);
    $face = fn (array $effects): Image => Fixtures::render(Fixtures::artwork([['id' => 'f', 'source' => ['kind' => 'art', 'file' => 'face.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 1, 'height' => null], 'effects' => $effects]]), 300, $folder);
    $spread = fn (Image $image, int $x): float => $image->crop($x, 520, 80, 160)->band(1)->deviation();
    [$before, $after] = [$face([]), $face([['kind' => 'airbrushed', 'softness' => 0.1, 'character' => $character]])];
    expect($spread($after, 340))->toBeLessThan(0.35 * $spread($before, 340));
    // The edge stays: within five pixels either side it has gone three quarters of the way.
    $mean = fn (int $x): float => $after->crop($x, 520, 1, 160)->band(1)->mean();
    expect(($mean(455) - $mean(445)) / ($mean(530) - $mean(370)))->toBeGreaterThan(0.75);
})->with(['smooth', 'glossy', 'bold']);
