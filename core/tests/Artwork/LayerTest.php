<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Fault;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Placement;
use TallCrow\Tests\Fixtures;
use TallCrow\Texture\Catalogue;

/** @param  array<string, mixed>  $layer */
function read_layer(array $layer): Layer
{
    return Fixtures::artwork([$layer])->layers[0];
}

/** @param  array<string, mixed>  $layer */
function layer_faults(array $layer): array
{
    try {
        read_layer($layer);
    } catch (ArtworkInvalid $invalid) {
        return array_map(fn (Fault $f): string => (string) $f, $invalid->faults);
    }

    return [];
}

it('fills in what a file may leave out', function (): void {
    $layer = read_layer(['id' => 'a', 'source' => ['kind' => 'shape', 'shape' => 'star'], 'placement' => ['x' => 1, 'y' => 1, 'width' => 1, 'height' => null]]);
    expect($layer->toArray())->toMatchArray([
        'name' => '', 'on' => true, 'role' => ['kind' => 'ink'], 'opacity' => 1.0, 'blend' => 'normal', 'effects' => [], 'masks' => [], 'distress' => [],
        'source' => ['kind' => 'shape', 'shape' => 'star', 'count' => 5, 'share' => 0.5],
    ])->and($layer->placement?->flip)->toBe(Flip::None)->and($layer->placement->turn)->toBe(0.0);
});

it('says of each kind of value what it must be', function (array $change, string $fault): void {
    expect(layer_faults(array_replace_recursive(Fixtures::shape('a', 'ellipse', 1), $change)))->toContain($fault);
})->with([
    [['on' => 'yes'], 'layers[0].on: must be true or false'],
    [['opacity' => '1'], 'layers[0].opacity: must be a number'],
    [['source' => ['count' => 4.5]], 'layers[0].source.count: must be a whole number'],
    [['name' => str_repeat('x', 81)], 'layers[0].name: is 81 characters long; 80 is the most'],
    'bytes' => [['name' => "\xff"], 'layers[0].name: is not UTF-8 text'],
    [['effects' => [['colour' => 7]]], 'layers[0].effects[0].colour: must be a colour such as "#1d2b1f"'],
    [['effects' => 'fill'], 'layers[0].effects: must be a list'],
    [['masks' => [['kind' => 'cloud']]], 'layers[0].masks[0].kind: must be one of rectangle, ellipse, polygon, star, freehand, brush, clip, picture'],
    [['distress' => [['texture' => 'moss']]], fn () => 'layers[0].distress[0].texture: must be one of '.implode(', ', array_keys(Catalogue::classes())).', picture'],
    [['distress' => [['texture' => 'speckle', 'shielded' => [3]]]], 'layers[0].distress[0].shielded[0]: must be text'],
    [['role' => ['kind' => 'knockout', 'gap' => 5]], 'layers[0].role.gap: is 5; it must be 0 to 2'],
    [['role' => ['kind' => 'ink', 'gap' => 0.1]], 'layers[0].role.gap: is not known here; known are kind'],
    [['placement' => ['flip' => 'sideways']], 'layers[0].placement.flip: must be one of none, across, down, both'],
]);

it('says what is missing', function (string $key, string $fault): void {
    $layer = Fixtures::shape('a', 'ellipse', 1);
    unset($layer[$key]);
    expect(layer_faults($layer))->toContain($fault);
})->with([['id', 'layers[0].id: is missing: it must be text'], ['source', 'layers[0].source: is missing'], ['placement', 'layers[0].placement: is missing']]);

it('moves with all that it holds', function (): void {
    $group = read_layer(['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [Fixtures::shape('a', 'ellipse', 1), ['id' => 'h', 'source' => ['kind' => 'group', 'layers' => [Fixtures::shape('b', 'star', 1)]]]]]]);
    $moved = $group->moved(0.25, -1);
    expect($moved->children()[0]->placement?->x)->toBe(1.75)
        ->and($moved->children()[1]->children()[0]->placement?->y)->toBe(1.0)
        ->and($moved->placement)->toBeNull();
});

it('sizes every measure on it by one factor, within bounds', function (): void {
    $layer = read_layer(Fixtures::shape('a', 'ellipse', 1, more: [
        'placement' => ['height' => 2.0, 'turn' => 12],
        'effects' => [1 => ['kind' => 'outline', 'width' => 1.5, 'colour' => '#000000']],
        'distress' => [['texture' => 'speckle', 'scale' => 2]],
    ]));
    $twice = $layer->scaled(2, 0, 0);
    expect([$twice->placement?->x, $twice->placement?->y, $twice->placement?->width, $twice->placement?->height, $twice->placement?->turn])->toBe([3.0, 4.0, 2.0, 4.0, 12.0])
        ->and($twice->effects[1]->values->number('width'))->toBe(2.0)
        ->and($twice->distress[0]->scale)->toBe(ArtworkReader::MOST_WEAR_SCALE)
        ->and($twice->effects[0]->values->colour('colour')->toHex())->toBe('#f3ead7');
});

it('counts only what is on', function (): void {
    $layer = read_layer(Fixtures::shape('a', 'ellipse', 1, more: [
        'effects' => [1 => ['kind' => 'outline', 'on' => false], 2 => ['kind' => 'arch', 'on' => true]],
        'masks' => [['kind' => 'ellipse', 'on' => false]], 'distress' => [['texture' => 'speckle', 'on' => false], ['texture' => 'scratches']],
    ]));
    expect($layer->liveEffects())->toHaveCount(2)->and($layer->liveMasks())->toBe([])->and($layer->liveDistress())->toHaveCount(1);
});

it('is called by its name, its words, its file or its figure', function (array $layer, string $called): void {
    expect(read_layer($layer)->called())->toBe($called);
})->with([
    [fn () => ['name' => 'Sun disc'] + Fixtures::shape('a', 'ellipse', 1), 'Sun disc'],
    [fn () => Fixtures::words('a', "QUARRY\nROAD", 1), 'QUARRY / ROAD'],
    [fn () => Fixtures::words('a', str_repeat('KITE ', 20), 1), 'KITE KITE KITE KITE KITE KITE K…'],
    [fn () => Fixtures::shape('a', 'ring', 1), 'Ring'],
    [fn () => ['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'old-lantern.svg'], 'placement' => ['x' => 1, 'y' => 1, 'width' => 1, 'height' => null]], 'old-lantern'],
    [fn () => ['id' => 'a', 'source' => ['kind' => 'group', 'layers' => []]], 'Group'],
]);

it('draws figures with the measures that stand in its source', function (string $shape, ?float $height, float $expected): void {
    $source = read_layer(Fixtures::shape('a', $shape, 1, more: ['source' => ['share' => 0.1]]))->source;
    assert($source instanceof TallCrow\Artwork\ShapeSource);
    $box = $source->figures(4, $height)[0]->path->bounds();
    expect($box->height())->toEqualWithDelta($expected, 1e-9)->and($box->width())->toEqualWithDelta(4.0, 1e-9);
})->with([['rectangle', null, 4.0], ['rectangle', 2.0, 2.0], ['line', null, 0.4], ['line', 1.0, 1.0], ['ellipse', 3.0, 3.0], ['star', null, 4.0], ['polygon', null, 4.0], ['ring', null, 4.0]]);

it('lies where it did when it is moved there and back', function (float $x, float $by): void {
    $placement = new Placement($x, 1.0, 2.0, null, 0.0, Flip::None);
    expect($placement->moved($by, 0)->moved(-$by, 0)->x)->toBe($x)->and($placement->moved($by, 0)->x)->toBe((float) sprintf('%.9f', $x + $by));
})->with([[6.05, 0.1], [0.1, 0.2], [1.333, 12.7], [3.141592653, 2.718281828]]);

it('is clipped where it, or a layer of it, is clipped to another by a mask that is on', function (array $masks, bool $expected): void {
    $plate = ['masks' => $masks] + Fixtures::shape('plate', 'rectangle', 1.0);
    $other = Fixtures::shape('other', 'star', 1.0);
    expect(Fixtures::artwork([$other, $plate])->layers[1]->isClipped())->toBe($expected)
        ->and(Fixtures::artwork([$other, ['id' => 'both', 'source' => ['kind' => 'group', 'layers' => [$plate]]]])->layers[1]->isClipped())->toBe($expected);
})->with([
    'to another' => [[['kind' => 'clip', 'layer' => 'other']], true],
    'by a mask that is off' => [[['kind' => 'clip', 'layer' => 'other', 'on' => false]], false],
    'by no clip' => [[['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8]], false],
]);
