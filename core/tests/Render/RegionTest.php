<?php

declare(strict_types=1);

use TallCrow\Effect\Catalogue;
use TallCrow\Effect\Looks;
use TallCrow\Effect\Retouches;
use TallCrow\Paper\Catalogue as Papers;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;
use TallCrow\Texture\Catalogue as Textures;

/** How far a part drawn alone is off the same part of the whole: the largest difference of a sample, in levels, of three parts. */
function region_off(array $layers, array $more = [], float $ppi = 300): float
{
    $artwork = Fixtures::artwork($layers, $more);
    $whole = Fixtures::renderer()->picture($artwork, Frame::sheet($artwork->sheet, $ppi))->operation('premultiply')->settled();
    $off = 0.0;
    // By another renderer: what the first one kept of the whole would hide that a part finds otherwise.
    $renderer = Fixtures::renderer();
    foreach ([[313, 447, 211, 190], [90, 500, 61, 173], [401, 590, 330, 47]] as [$x, $y, $w, $h]) {
        $part = $renderer->picture($artwork, new Frame($ppi, $x, $y, $w, $h))->operation('premultiply');
        $off = max($off, $part->minus($whole->crop($x, $y, $w, $h))->operation('abs')->settled()->range()[1]);
    }

    return $off;
}

it('draws a part of every effect just as the whole has it', function (string $kind): void {
    $class = Catalogue::classes()[$kind];
    $line = ['kind' => $kind];
    $picture = is_a($class, Retouches::class, true) || is_a($class, Looks::class, true);
    $piece = $picture
        ? ['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.6, 'height' => null], 'masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.9, 'height' => 0.9, 'feather' => 0.2]]]
        : Fixtures::words('a', 'Bell', 2.4);
    if ($kind === 'picture') {
        $line['file'] = 'rock-pool.png';
    }
    if ($kind === 'own-line') {
        $line += ['number' => 1, 'font' => 'rye.woff2'];
    }
    expect(region_off([['effects' => [...$piece['effects'] ?? [], $line]] + $piece]))->toBeLessThan(2.0);
})->with(array_keys(Catalogue::classes()));

it('draws a part in which there is nothing of a picture but its ring', function (array $source, array $more): void {
    $ring = ['kind' => 'outline', 'width' => 0.25, 'colour' => '#9031a3', 'side' => 'outside', 'join' => 'mitre'];
    $place = $source['kind'] === 'group' ? [] : ['placement' => ['x' => 1.5, 'y' => 2, 'width' => 1.2, 'height' => null]];
    $artwork = Fixtures::artwork([['id' => 'a', 'source' => $source, 'effects' => [...$more, $ring]] + $place]);
    $whole = Fixtures::renderer()->picture($artwork, Frame::sheet($artwork->sheet, 300))->settled();
    // The left edge is at 0.9 in, where the ring's 75 px end: a strip well within it.
    $part = Fixtures::renderer()->picture($artwork, new Frame(300, 215, 590, 35, 20))->settled();
    expect($whole->crop(215, 590, 35, 20)->alpha()->mean())->toBeGreaterThan(250.0)
        ->and($part->minus($whole->crop(215, 590, 35, 20))->operation('abs')->settled()->range()[1])->toBe(0.0);
})->with([
    'a picture' => [['kind' => 'art', 'file' => 'rock-pool.png'], []],
    'a bent one' => [['kind' => 'art', 'file' => 'rock-pool.png'], [['kind' => 'wave', 'bend' => 0.02]]],
    'a group' => [['kind' => 'group', 'layers' => [['id' => 'b', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 1.2, 'height' => null], 'effects' => []]]], []],
]);

it('draws a part of every texture just as the whole has it', function (string $kind): void {
    expect(region_off([Fixtures::shape('p', 'ellipse', 2.6), Fixtures::words('w', 'BELL', 2.0, ['effects' => [['kind' => 'fill', 'colour' => '#ff0000']]])], ['distress' => [['texture' => $kind, 'amount' => 0.3, 'seed' => 5]]]))->toBeLessThan(2.0);
})->with(array_diff(array_keys(Textures::classes()), ['picture']));

it('draws a part of wear that is turned, shifted and sized just as the whole has it', function (string $kind, float $scale, float $turn): void {
    $wear = ['texture' => $kind, 'amount' => 0.25, 'seed' => 5, 'scale' => $scale, 'turn' => $turn, 'x' => 0.37, 'y' => -0.2];
    $plate = Fixtures::shape('p', 'rectangle', 2.6);
    expect(region_off([$plate], ['distress' => [$wear]]))->toBeLessThan(2.0)->and(region_off([['distress' => [$wear]] + $plate]))->toBeLessThan(2.0);
})->with([['water-stain', 0.5, 30.0], ['cracks', 1.0, -71.3], ['speckle', 1.7, 0.0], ['speckle', 2.5, 12.5]]);

it('draws a part of every paper just as the whole has it', function (string $kind): void {
    expect(region_off([['effects' => [['kind' => 'paper', 'paper' => $kind, 'seed' => 5]]] + Fixtures::shape('p', 'ellipse', 2.6)]))->toBeLessThan(2.0);
})->with(array_keys(Papers::classes()));

it('draws a part of every mask just as the whole has it', function (array $mask): void {
    $layers = [Fixtures::shape('under', 'star', 2.0), ['masks' => [$mask]] + Fixtures::shape('p', 'rectangle', 2.6, '#ff0000')];
    expect(region_off($layers))->toBeLessThan(2.0)
        ->and(region_off([$layers[0], ['effects' => [['kind' => 'fill', 'colour' => '#ff0000'], ['kind' => 'halftone']]] + $layers[1]]))->toBeLessThan(2.0);
})->with([
    'soft shape' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8, 'feather' => 0.4]],
    'soft brush' => [['kind' => 'brush', 'strokes' => [['points' => [[0.1, 0.2], [0.8, 0.7]], 'width' => 0.3, 'hardness' => 0.1]]]],
    'freehand' => [['kind' => 'freehand', 'points' => [[0.1, 0.1], [0.9, 0.2], [0.6, 0.9]], 'feather' => 0.3]],
    'clip' => [['kind' => 'clip', 'layer' => 'under']],
    'picture' => [['kind' => 'picture', 'file' => 'night-sky.png']],
]);

it('draws a part of ink that is bent after it was emboldened, ringed and shaded just as the whole has it', function (array $lines, float $turn): void {
    $fill = ['kind' => 'fill', 'colour' => '#c05030'];
    $words = Fixtures::words('w', 'Bell', 2.4);
    $words['placement'] = ['turn' => $turn] + $words['placement'];
    expect(region_off([['effects' => [...$lines, $fill]] + $words]))->toBeLessThan(2.0)
        ->and(region_off([['effects' => [...$lines, $fill, ['kind' => 'shadow', 'distance' => 0.15, 'angle' => 40, 'as' => 'solid']]] + $words]))->toBeLessThan(2.0);
})->with([
    'three warps' => [[['kind' => 'bulge'], ['kind' => 'embolden', 'by' => 0.03], ['kind' => 'rise'], ['kind' => 'flag']]],
    'a ring under a wave' => [[['kind' => 'outline', 'width' => 0.05, 'colour' => '#f3ead7'], ['kind' => 'wave']]],
    'mitres under an arch' => [[['kind' => 'outline', 'width' => 0.05, 'colour' => '#f3ead7', 'join' => 'mitre'], ['kind' => 'arch']]],
])->with([0.0, -40.0]);

it('draws a part of a drawing just as the whole has it', function (string $file, float $turn, array $lines): void {
    expect(region_off([[
        'id' => 'a', 'source' => ['kind' => 'art', 'file' => $file], 'effects' => $lines,
        'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.6, 'height' => null, 'turn' => $turn],
    ]]))->toBeLessThan(2.0);
})->with(['crab.svg', 'kite.svg'])->with([0.0, 17.0])->with(['as it is' => [[]], 'ringed' => [[['kind' => 'outline', 'width' => 0.05]]], 'under a wave' => [[['kind' => 'wave']]]]);

it('weighs how much ink wear takes alike for a part and for the whole', function (string $kind, int $seed): void {
    $words = ['kind' => 'text', 'text' => 'OX BELL', 'font' => 'ultra.woff2'];
    $layers = [[
        'id' => 'w', 'source' => $words, 'placement' => ['x' => 2.57, 'y' => 2.59, 'width' => 3.39, 'height' => null, 'turn' => 13],
        'effects' => [['kind' => 'flag'], ['kind' => 'fill', 'colour' => '#c05030'], ['kind' => 'outline', 'width' => 0.118, 'join' => 'mitre']], 'opacity' => 0.8,
    ]];
    $wear = ['texture' => $kind, 'amount' => 0.2, 'seed' => $seed, 'scale' => 1.4];
    expect(region_off($layers, ['sheet' => ['width' => 1500, 'height' => 1500, 'ppi' => 300], 'distress' => [$wear]]))->toBeLessThan(2.0);
})->with([['water-stain', 38], ['water-stain', 4], ['dry-roller', 95], ['speckle', 7]]);
