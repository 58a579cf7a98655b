<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Effect\Catalogue;
use TallCrow\Mask\MaskShape;
use TallCrow\Tests\Fixtures;

function through_json(Artwork $artwork): Artwork
{
    return ArtworkReader::json(json_encode($artwork->toArray(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
}

/** @param  array<string, mixed>  $more */
function plate_with(array $more): Artwork
{
    return Fixtures::artwork([Fixtures::shape('below', 'ellipse', 2), $more + Fixtures::shape('plate', 'rectangle', 2)]);
}

it('keeps each kind of mask through its file', function (array $mask): void {
    $artwork = plate_with(['masks' => [$mask + ['inverted' => true, 'on' => false]]]);
    $held = through_json($artwork)->toArray()['layers'][1]['masks'][0];
    expect($held)->toEqual($artwork->toArray()['layers'][1]['masks'][0])->and($held)->toMatchArray($mask + ['inverted' => true, 'on' => false]);
})->with([
    ...array_map(fn (MaskShape $shape): array => [['kind' => $shape->value, 'x' => 0.25, 'y' => 0.75, 'width' => 0.5, 'height' => 0.2, 'feather' => 0.125]], MaskShape::cases()),
    [['kind' => 'freehand', 'points' => [[0.1, 0.2], [0.9, 0.2], [0.5, 0.8]], 'feather' => 0.05]],
    [['kind' => 'brush', 'strokes' => [['points' => [[0.1, 0.1], [0.2, 0.4]], 'width' => 0.3, 'hardness' => 0.5, 'restores' => true, 'symmetry' => 'radial', 'count' => 7]]]],
    [['kind' => 'clip', 'layer' => 'below']],
    [['kind' => 'picture', 'file' => 'rock-pool.png', 'scale' => 1.5, 'x' => 0.25, 'y' => -0.5, 'turn' => 30.0]],
]);

it('keeps each kind of line, with values of its own, through its file', function (string $kind): void {
    $values = [];
    foreach (Catalogue::classes()[$kind]::parameters() as $parameter) {
        $values[$parameter->name] = match (true) {
            $parameter->choices !== [] => $parameter->choices[count($parameter->choices) - 1],
            $parameter->kind->value === 'colour' => '#123456',
            $parameter->kind->value === 'colours' => array_fill(0, (int) max(2, $parameter->least), '#654321'),
            $parameter->kind->value === 'scribbles' => [['points' => [[0.25, 0.5], [0.75, 0.5]], 'width' => 0.05, 'keeps' => false]],
            is_numeric($parameter->default) => ($parameter->least + $parameter->most) / 2,
            default => $parameter->default,
        };
    }
    $artwork = plate_with(['effects' => [['kind' => $kind, 'on' => false] + $values]]);
    $line = through_json($artwork)->toArray()['layers'][1]['effects'][0];
    expect($line)->toEqual($artwork->toArray()['layers'][1]['effects'][0])->and($line)->toMatchArray(['kind' => $kind, 'on' => false])
        ->and(array_keys($line))->toContain(...array_keys($values));
})->with(array_keys(Catalogue::classes()));

it('keeps what else a piece has through its file', function (array $more): void {
    $artwork = plate_with($more);
    expect(through_json($artwork)->toArray())->toEqual($artwork->toArray())->and($artwork->toArray()['layers'][1])->toMatchArray($more);
})->with([
    'a knockout from one piece, that prints' => [['role' => ['kind' => 'knockout', 'gap' => 0.06, 'join' => 'mitre', 'from' => ['below'], 'sets' => true, 'whole' => false]]],
    'a blend at half strength' => [['blend' => 'soft-light', 'opacity' => 0.5]],
    'copies' => [['repeat' => ['kind' => 'radial', 'x' => 1.5, 'y' => 2.0, 'count' => 9, 'facing' => 'every-second-mirrored', 'stepX' => 0.0, 'stepY' => 0.0, 'size' => 1.0, 'changed' => 2, 'as' => 'hollow', 'colour' => '#abcdef', 'on' => false]]],
]);

it('keeps wear with its strokes through its file', function (): void {
    $wear = ['texture' => 'scratches', 'amount' => 0.12, 'scale' => 1.5, 'seed' => 9, 'inverted' => true, 'shielded' => ['below'], 'on' => true, 'x' => 0.5, 'y' => -0.25, 'turn' => 30.0,
        'strokes' => [['points' => [[0.5, 0.5]], 'width' => 0.4, 'hardness' => 1.0, 'restores' => true, 'symmetry' => 'mirror', 'count' => 6]]];
    $artwork = Fixtures::artwork([Fixtures::shape('below', 'ellipse', 2)], ['distress' => [$wear]]);
    expect(through_json($artwork)->toArray())->toEqual($artwork->toArray())->and($artwork->toArray()['distress'][0])->toMatchArray($wear);
});
