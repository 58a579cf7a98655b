<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\Edited;
use TallCrow\Edit\Operations;
use TallCrow\Geometry\Box;
use TallCrow\Tests\Fixtures;

/** Carries out operations as they are sent. @param  array<string, mixed>  ...$operations */
function operated(Artwork $artwork, array ...$operations): Edited
{
    return Operations::apply(Operations::read(array_values($operations)), $artwork, Fixtures::renderer()->placer);
}

function ink_box(Artwork $artwork, string $id): Box
{
    $layer = $artwork->layer($id);
    assert($layer instanceof Layer);

    return Fixtures::renderer()->placer->box($layer) ?? throw new RuntimeException("$id has no ink");
}

/** @return list<string> ids of the top layers */
function ids(Artwork $artwork): array
{
    return array_map(fn (Layer $layer): string => $layer->id, $artwork->layers);
}

/** A plate, a ringed word over it, a group of two figures. */
function desk(array $more = []): Artwork
{
    return Fixtures::artwork([
        Fixtures::shape('plate', 'rectangle', 2, more: ['placement' => ['x' => 1.25, 'y' => 1.5, 'height' => 1.0]]),
        Fixtures::words('word', 'KITE', 1.5, ['placement' => ['turn' => 0], 'effects' => [1 => ['kind' => 'outline', 'width' => 0.1, 'colour' => '#b04a2c']]]),
        ['id' => 'pair', 'source' => ['kind' => 'group', 'layers' => [Fixtures::shape('left', 'star', 0.5, more: ['placement' => ['x' => 0.5, 'y' => 3]]), Fixtures::shape('right', 'star', 0.5, more: ['placement' => ['x' => 2.5, 'y' => 3]])]]],
    ], $more);
}
