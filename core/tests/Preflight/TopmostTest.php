<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Preflight\Topmost;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Tests\Fixtures;

function box_layer(string $id, float $x, float $y, float $width, float $height, array $more = []): array
{
    return Fixtures::shape($id, 'rectangle', $width, more: $more + ['placement' => ['x' => $x, 'y' => $y, 'width' => $width, 'height' => $height]]);
}

function topmost_of(Artwork $artwork): Topmost
{
    return Topmost::of($artwork->layers, Frame::sheet($artwork->sheet, 50), fn (Layer $layer, Frame $frame): ?Piece => $layer->on ? Fixtures::renderer()->layer($layer, $frame) : null);
}

// Areas of rectangles, in pixels of a fiftieth of an inch: sums anybody can do.
it('counts what is seen of each layer, and what would be without the others', function (): void {
    $top = topmost_of(Fixtures::artwork([box_layer('ground', 1.5, 2, 2, 2), box_layer('half', 1.5, 1.5, 1, 2), box_layer('beside', 2.8, 3.8, 0.4, 0.4), box_layer('off', 1.5, 2, 3, 4, ['on' => false])]));
    expect($top->ids)->toBe(['ground', 'half', 'beside'])->and($top->whole)->toBe(['ground' => 100 * 100, 'half' => 50 * 100, 'beside' => 20 * 20])
        // The second covers 50 × 75 of the first.
        ->and($top->counted())->toBe(['ground' => 100 * 100 - 50 * 75, 'half' => 50 * 100, 'beside' => 20 * 20])
        ->and($top->seen('half')->area())->toBe(5000.0)->and($top->seen('ground')->area())->toBe(6250.0);
});

it('counts within a mask alone, where that is as large as the window', function (): void {
    $artwork = Fixtures::artwork([box_layer('left', 0.75, 2, 1.5, 4), box_layer('right', 2.25, 2, 1.5, 4)]);
    $top = topmost_of($artwork);
    $mask = Image::empty(150, 200, 1)->insert(Image::empty(100, 10, 1)->inverted(), 25, 40)->settled();
    expect($top->fits($mask))->toBeTrue()->and($top->fits($mask->crop(0, 0, 149, 200)))->toBeFalse()->and($top->counted($mask))->toBe(['left' => 500, 'right' => 500]);
});

it('counts of a piece that hangs over the edge what lies on the sheet, and is empty where nothing is', function (): void {
    expect(topmost_of(Fixtures::artwork([box_layer('over', 0, 2, 1, 1)]))->whole)->toBe(['over' => 25 * 50])
        ->and(topmost_of(Fixtures::artwork([]))->counted())->toBe([]);
});

it('holds as many layers as a byte counts, the uppermost', function (): void {
    $layers = array_map(fn (int $i): array => box_layer("l$i", 0.1 + ($i % 20) * 0.14, 0.1 + intdiv($i, 20) * 0.26, 0.12, 0.2), range(0, 199));
    $top = topmost_of(Fixtures::artwork($layers));
    expect($top->ids)->toHaveCount(200)->and(array_unique($top->counted()))->toBe(['l0' => 60])->and($top->seen('l199')->inkBox())->toBe([135, 117, 6, 10]);
});
