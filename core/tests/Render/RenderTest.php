<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Morphology;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;

it('draws a region as it draws the whole', function (): void {
    $artwork = Fixtures::demo('moth-night');
    $renderer = Fixtures::renderer();
    $whole = $renderer->picture($artwork, Frame::sheet($artwork->sheet, 100));
    $part = $renderer->picture($artwork, new Frame(100, 400, 700, 500, 420));
    $off = $part->minus($whole->crop(400, 700, 500, 420))->operation('abs')->isMore(2.0);
    expect([$part->width(), $part->height(), $part->bands()])->toBe([500, 420, 4])->and($off->mean() / 255)->toBeLessThan(0.0005);
});

it('sizes words by their ink', function (array $layer, float $ppi): void {
    $box = Fixtures::render(Fixtures::artwork([$layer]), $ppi)->alpha()->isMore(127.0)->inkBox();
    expect($box)->not->toBeNull()
        ->and($box[2])->toEqualWithDelta(2.4 * $ppi, 1.0)
        ->and($box[0] + $box[2] / 2)->toEqualWithDelta(1.5 * $ppi, 1.0)
        ->and($box[1] + $box[3] / 2)->toEqualWithDelta(2 * $ppi, 1.0);
})->with([
    'plain' => [fn () => Fixtures::words('w', 'BELLS', 2.4), 300],
    'arched and spaced' => [fn () => Fixtures::words('w', 'BELLS', 2.4, ['effects' => [1 => ['kind' => 'letter-spacing', 'by' => 120], 2 => ['kind' => 'arch', 'bend' => 0.5]]]), 300],
    'a proof' => [fn () => Fixtures::words('w', 'BELLS', 2.4), 60],
    'two lines' => [fn () => Fixtures::words('w', "TOWER\nBELLS", 2.4), 300],
]);

it('turns, flips, fades and groups', function (): void {
    $bar = fn (array $more): array => Fixtures::shape('bar', 'rectangle', 2, '#ff0000', array_replace_recursive(['placement' => ['height' => 0.5]], $more));
    $upright = Fixtures::render(Fixtures::artwork([$bar(['placement' => ['turn' => 90]])]))->alpha()->inkBox();
    expect([$upright[2], $upright[3]])->toBe([150, 600]);

    $faded = Fixtures::render(Fixtures::artwork([$bar(['opacity' => 0.5])]));
    expect(Fixtures::pixel($faded, 450, 600))->toBe([255, 0, 0, 128]);

    $grouped = Fixtures::render(Fixtures::artwork([['id' => 'g', 'opacity' => 0.5, 'source' => ['kind' => 'group', 'layers' => [$bar([]), ['id' => 'top'] + $bar([])]]]]));
    expect(Fixtures::pixel($grouped, 450, 600)[3])->toBe(128);

    $triangle = fn (string $flip): Image => Fixtures::render(Fixtures::artwork([Fixtures::shape('t', 'polygon', 2, '#ff0000', ['source' => ['count' => 3], 'placement' => ['flip' => $flip]])]));
    expect($triangle('none')->alpha()->crop(0, 350, 900, 1)->area())->toBeLessThan(100.0)
        ->and($triangle('down')->alpha()->crop(0, 350, 900, 1)->area())->toBeGreaterThan(400.0);
});

it('leaves a uniform gap about a knockout, as crisp as ink', function (array $hole, float $tolerance): void {
    // A plate over the whole sheet, and a figure taken out of it with a gap of 0.1 in = 30 px.
    $plate = Fixtures::shape('plate', 'rectangle', 3, '#c8452c', ['placement' => ['height' => 4]]);
    $knocked = Fixtures::render(Fixtures::artwork([$plate, ['role' => ['kind' => 'knockout', 'gap' => 0.1]] + $hole]));
    $figure = Fixtures::render(Fixtures::artwork([array_diff_key($hole, ['role' => 1])]));
    $folder = Fixtures::temporary('gap');
    ImageFile::writePng($knocked->alpha()->isMore(127.0), "$folder/left.png");
    ImageFile::writePng($figure->alpha()->isMore(127.0), "$folder/figure.png");
    // ImageMagick's exact distance transform, from the figure outwards; of the plate's own rim only what lies inward counts.
    Fixtures::run(['convert', "$folder/figure.png", '-negate', '-depth', '16', '-morphology', 'Distance', 'Euclidean:7', "gray:$folder/far.gray"]);
    $far = array_values((array) unpack('v*', (string) file_get_contents("$folder/far.gray")));
    $left = $knocked->alpha()->isMore(127.0)->toBytes();
    $nearest = INF;
    $widest = 0.0;
    foreach ($far as $i => $distance) {
        $pixels = $distance / 100;
        if ($left[$i] === "\xff") {
            $nearest = min($nearest, $pixels);
        } else {
            $widest = max($widest, $pixels);
        }
    }
    expect($nearest)->toBeGreaterThan(30 - $tolerance)->and($widest)->toBeLessThan(30 + $tolerance);

    // No ink at all in the hole, and none half taken beyond one pixel of its rim.
    $soft = Morphology::eroded($knocked->alpha())->isMore(2.0)->both(Morphology::dilated($knocked->alpha())->isLess(253.0));
    expect($soft->area())->toBe(0.0);
})->with([
    'words' => [fn () => Fixtures::words('w', 'BELL', 2.2), 2.0],
    'a figure' => [fn () => Fixtures::shape('s', 'ellipse', 1.6), 2.0],
    'a drawing' => [fn () => ['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'ringing-bell.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]], 2.0],
    'a raster' => [fn () => ['id' => 'r', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]], 2.0],
]);

it('knocks out what lies below and not what lies above', function (): void {
    $plate = fn (string $id, string $colour, float $y): array => Fixtures::shape($id, 'rectangle', 2, $colour, ['placement' => ['height' => 1, 'y' => $y]]);
    $hole = ['role' => ['kind' => 'knockout', 'gap' => 0]] + Fixtures::shape('hole', 'ellipse', 1, '#000000', ['placement' => ['y' => 1.5]]);
    $picture = Fixtures::render(Fixtures::artwork([$plate('below', '#ff0000', 1.5), $hole, $plate('above', '#0000ff', 2.5)]));
    expect(Fixtures::pixel($picture, 450, 450))->toBe([0, 0, 0, 0])
        ->and(Fixtures::pixel($picture, 200, 450))->toBe([255, 0, 0, 255])
        ->and(Fixtures::pixel($picture, 450, 750))->toBe([0, 0, 255, 255]);

    $inGroup = Fixtures::render(Fixtures::artwork([$plate('below', '#ff0000', 1.5), ['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [$plate('own', '#00ff00', 1.9), $hole]]]]));
    // Within its group alone: the red plate shows through the green one's hole.
    expect(Fixtures::pixel($inGroup, 450, 450))->toBe([255, 0, 0, 255]);
});

it('draws rings behind the fill, each its own width', function (array $layer): void {
    $bare = Fixtures::render(Fixtures::artwork([$layer]))->alpha()->isMore(127.0)->inkBox();
    $layer['effects'] = [...($layer['effects'] ?? []), ['kind' => 'outline', 'width' => 0.1, 'colour' => '#112233', 'join' => 'round'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#445566', 'join' => 'round']];
    $ringed = Fixtures::render(Fixtures::artwork([$layer]));
    $box = $ringed->alpha()->isMore(127.0)->inkBox();
    expect($box[0])->toEqualWithDelta($bare[0] - 45, 2)->and($box[2])->toEqualWithDelta($bare[2] + 90, 3)->and($box[3])->toEqualWithDelta($bare[3] + 90, 3);
    $middle = $bare[1] + intdiv($bare[3], 2);
    expect(array_slice(Fixtures::pixel($ringed, $bare[0] + $bare[2] + 37, $middle), 0, 3))->toBe([0x44, 0x55, 0x66])
        ->and(array_slice(Fixtures::pixel($ringed, $bare[0] + $bare[2] + 15, $middle), 0, 3))->toBe([0x11, 0x22, 0x33]);
})->with([
    'a figure' => [fn () => Fixtures::shape('s', 'ellipse', 1.2)],
    'a raster' => [fn () => ['id' => 'r', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 1.8, 'height' => null]]],
]);

it('cuts a mitred spike at its limit', function (): void {
    $spike = fn (string $join, float $limit): array => Fixtures::shape('s', 'star', 1.4, '#f3ead7', ['source' => ['count' => 9, 'share' => 0.3], 'effects' => [1 => ['kind' => 'outline', 'width' => 0.1, 'colour' => '#112233', 'join' => $join, 'mitreLimit' => $limit]]]);
    $reach = fn (string $join, float $limit): int => Fixtures::render(Fixtures::artwork([$spike($join, $limit)]))->alpha()->isMore(127.0)->inkBox()[3] ?? 0;
    expect($reach('mitre', 10))->toBeGreaterThan($reach('mitre', 1.5) + 40)
        ->and($reach('round', 3))->toBeLessThan($reach('mitre', 10));
});

it('shows only what a mask lets through', function (): void {
    $plate = fn (array $mask): array => Fixtures::shape('p', 'rectangle', 2, '#c8452c', ['masks' => [$mask]]);
    $area = fn (array $mask): float => Fixtures::render(Fixtures::artwork([$plate($mask)]))->alpha()->area();
    $whole = 600 * 600;
    expect($area(['kind' => 'ellipse']))->toEqualWithDelta(M_PI * 300 * 300, 300)
        ->and($area(['kind' => 'ellipse', 'inverted' => true]))->toEqualWithDelta($whole - M_PI * 300 * 300, 300)
        ->and($area(['kind' => 'rectangle', 'width' => 0.5, 'height' => 0.5]))->toEqualWithDelta($whole / 4, 10)
        ->and($area(['kind' => 'ellipse', 'on' => false]))->toEqualWithDelta($whole, 1);

    // Common practice: a soft oval has a feather of about 90 px at 300 ppi. Half way through it, half the ink.
    $soft = Fixtures::render(Fixtures::artwork([$plate(['kind' => 'rectangle', 'width' => 0.6, 'height' => 2, 'feather' => 0.3])]))->alpha();
    $at = fn (int $x): int => ord($soft->crop($x, 600, 1, 1)->toBytes());
    expect($at(270))->toEqualWithDelta(128, 4)->and($at(270 - 45))->toBeLessThan(12)->and($at(270 + 45))->toBeGreaterThan(243);
});

it('wears ink away to what was asked, and spares what is shielded', function (string $texture): void {
    $plate = Fixtures::shape('plate', 'rectangle', 2.6, '#c8452c', ['placement' => ['height' => 3.4]]);
    $word = Fixtures::words('word', 'BELLS', 2.2);
    $wear = fn (float $amount, array $shielded = []): array => ['distress' => [['texture' => $texture, 'amount' => $amount, 'seed' => 5, 'shielded' => $shielded]]];
    $ink = fn (Artwork $artwork): float => Fixtures::render($artwork)->alpha()->area();
    $whole = $ink(Fixtures::artwork([$plate]));
    // A plate of 2.6 × 3.4 in sees a ninth of the tile, so the share strays a little from the tile's own.
    expect(1 - $ink(Fixtures::artwork([$plate], $wear(0.15))) / $whole)->toEqualWithDelta(0.15, 0.04);

    $shielded = Fixtures::render(Fixtures::artwork([$plate, $word], $wear(0.3, ['word'])));
    $letters = Fixtures::render(Fixtures::artwork([$word]))->alpha();
    $kept = $letters->isMore(254.0)->both($shielded->alpha()->isLess(254.0));
    expect($kept->area())->toBe(0.0)->and($shielded->alpha()->area())->toBeLessThan($whole * 0.9);
})->with(['speckle', 'scratches']);

it('spares a shielded piece within a group', function (int $depth): void {
    $word = Fixtures::words('word', 'BELLS', 2.2);
    $layer = ['id' => 'inner', 'source' => ['kind' => 'group', 'layers' => [Fixtures::shape('plate', 'rectangle', 2.6, '#c8452c'), $word]]];
    if ($depth === 2) {
        $layer = ['id' => 'outer', 'source' => ['kind' => 'group', 'layers' => [$layer]]];
    }
    $worn = Fixtures::render(Fixtures::artwork([$layer], ['distress' => [['texture' => 'speckle', 'amount' => 0.3, 'shielded' => ['word']]]]));
    $letters = Fixtures::render(Fixtures::artwork([$word]))->alpha();
    expect($letters->isMore(254.0)->both($worn->alpha()->isLess(254.0))->area())->toBe(0.0)
        ->and($worn->alpha()->area())->toBeLessThan(780 * 780 * 0.85);
})->with([1, 2]);

it('moves a layer\'s own wear with the layer', function (): void {
    $at = fn (float $x): Image => Fixtures::render(Fixtures::artwork([Fixtures::shape('p', 'rectangle', 1, '#c8452c', ['placement' => ['x' => $x], 'distress' => [['texture' => 'speckle', 'amount' => 0.3, 'seed' => 9]]])]));
    expect($at(1.0)->crop(150, 450, 300, 300)->toBytes())->toBe($at(1.5)->crop(300, 450, 300, 300)->toBytes());
});

it('tells which layer is in trouble, or leaves it out and tells', function (): void {
    $artwork = Fixtures::artwork([Fixtures::shape('p', 'ellipse', 1), Fixtures::words('w', 'жук', 1), ['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'gone.svg'], 'placement' => ['x' => 1, 'y' => 1, 'width' => 1, 'height' => null]]]);
    $renderer = Fixtures::renderer();
    expect(fn () => $renderer->picture($artwork, Frame::sheet($artwork->sheet, 60))->toBytes())->toThrow(LayerTrouble::class, 'Alfa Slab One has no ж');
    $told = [];
    $picture = $renderer->picture($artwork, Frame::sheet($artwork->sheet, 60), function (LayerTrouble $trouble) use (&$told): void {
        $told[] = $trouble->layer;
    });
    expect($told)->toBe(['w', 'a'])->and($picture->alpha()->area())->toBeGreaterThan(2000.0);
});

it('finds the piece under a point by its ink', function (): void {
    $artwork = Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2), Fixtures::shape('ring', 'ring', 1.5, '#000000', ['source' => ['share' => 0.2]])]);
    $renderer = Fixtures::renderer();
    expect($renderer->pick($artwork, 1.5, 2.0))->toBe(['plate'])
        ->and($renderer->pick($artwork, 1.5, 1.32))->toBe(['ring', 'plate'])
        ->and($renderer->pick($artwork, 0.1, 0.1))->toBe([]);
});

it('draws again from kept pictures what it drew at first', function (): void {
    $artwork = Fixtures::demo('rangers-badge');
    $folder = Fixtures::temporary('kept');
    $draw = fn (): string => (new Renderer(Fixtures::shelf(), new FolderPictures($folder)))->picture($artwork, Frame::sheet($artwork->sheet, 60))->toBytes();
    $first = $draw();
    $files = count(glob("$folder/*") ?: []);
    expect($files)->toBeGreaterThan(3)->and($draw())->toBe($first)->and(count(glob("$folder/*") ?: []))->toBe($files);

    // Drawn in one go and from kept pieces, floating point rounds a few samples the other way.
    $fresh = Fixtures::render($artwork, 60)->toBytes();
    $off = array_filter(array_map(fn (int $a, int $b): int => abs($a - $b), array_values((array) unpack('C*', $fresh)), array_values((array) unpack('C*', $first))));
    expect(max([0, ...$off]))->toBeLessThan(2)->and(count($off) / strlen($first))->toBeLessThan(0.0001);
    (new FolderPictures($folder, 1000))->tidy();
    expect(array_sum(array_map(filesize(...), glob("$folder/*") ?: [])))->toBeLessThan(1001);
});
