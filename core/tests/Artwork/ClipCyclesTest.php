<?php

declare(strict_types=1);

use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\ClipCycles;
use TallCrow\Tests\Fixtures;

/** @return array<string, mixed> a figure that is clipped to another layer */
function clippedTo(string $id, ?string $to): array
{
    return Fixtures::shape($id, 'rectangle', 1.0, more: $to === null ? [] : ['masks' => [['kind' => 'clip', 'layer' => $to]]]);
}

/** @return array<string, mixed> */
function groupOf(string $id, array ...$children): array
{
    return ['id' => $id, 'source' => ['kind' => 'group', 'layers' => $children]];
}

it('refuses layers that would have to be drawn before themselves', function (array $layers): void {
    expect(fn () => ArtworkReader::data(Fixtures::sheet($layers)))->toThrow(ArtworkInvalid::class, 'clip it to another');
})->with([
    'to itself' => [fn () => [clippedTo('a', 'a')]],
    'to one another' => [fn () => [clippedTo('a', 'b'), clippedTo('b', 'a')]],
    'in a ring of three' => [fn () => [clippedTo('a', 'b'), clippedTo('b', 'c'), clippedTo('c', 'a')]],
    'to its own group' => [fn () => [groupOf('g', clippedTo('a', 'g'))]],
    'to a group about its group' => [fn () => [groupOf('g', groupOf('h', clippedTo('a', 'g')))]],
    'to a layer within a group that is clipped to it' => [fn () => [clippedTo('a', 'g'), groupOf('g', clippedTo('b', 'a'))]],
]);

it('leaves alone what can be drawn in some order', function (): void {
    $artwork = ArtworkReader::data(Fixtures::sheet([clippedTo('a', 'b'), clippedTo('b', 'c'), clippedTo('c', null), clippedTo('d', 'c'), groupOf('g', clippedTo('e', 'c'), clippedTo('f', 'e')), clippedTo('h', 'g'), clippedTo('i', 'gone')]));
    expect(ClipCycles::find($artwork))->toBeNull();
});
