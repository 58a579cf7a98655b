<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\FreeSpace;
use TallCrow\Geometry\Box;
use TallCrow\Tests\Fixtures;

/** The box of a layer's ink with its rings. */
function reach_of(Layer $layer): Box
{
    return Fixtures::renderer()->placer->reach($layer) ?? throw new RuntimeException('no ink');
}

function asked_for(float $width, float $x = 1.5, float $y = 1.33): Layer
{
    return Fixtures::artwork([Fixtures::shape('new', 'rectangle', $width, more: ['placement' => ['x' => $x, 'y' => $y, 'height' => $width]])])->layers[0];
}

/** The least distance from the wish at which a piece of that size lies free, looked for in steps of a fiftieth of an inch. */
function nearest_free(float $size, Artwork $artwork, float $x, float $y): float
{
    $taken = array_map(reach_of(...), $artwork->layers);
    $best = INF;
    for ($cx = $size / 2; $cx <= 3 - $size / 2 + 1e-9; $cx += 0.02) {
        for ($cy = $size / 2; $cy <= 4 - $size / 2 + 1e-9; $cy += 0.02) {
            $clear = true;
            foreach ($taken as $box) {
                $clear = $clear && ($cx + $size / 2 + 0.1 <= $box->left || $cx - $size / 2 - 0.1 >= $box->right || $cy + $size / 2 + 0.1 <= $box->top || $cy - $size / 2 - 0.1 >= $box->bottom);
            }
            $best = $clear ? min($best, hypot($cx - $x, $cy - $y)) : $best;
        }
    }

    return $best;
}

it('lays a new piece free of all others, on the sheet, as near as can be to where it was wished for', function (int $seed): void {
    $random = new Randomizer(new Mt19937($seed));
    $of = fn (float $from, float $to): float => $from + ($to - $from) * $random->getInt(0, 1000) / 1000;
    $shapes = array_map(fn (int $i): array => Fixtures::shape("s$i", 'rectangle', $of(0.3, 0.9), more: ['placement' => ['x' => $of(0.4, 2.6), 'y' => $of(0.4, 3.6), 'height' => $of(0.2, 0.7)]]), range(1, $random->getInt(1, 5)));
    $artwork = Fixtures::artwork($shapes);
    $size = $of(0.4, 0.9);
    $placed = FreeSpace::placed(asked_for($size), $artwork, Fixtures::renderer()->placer);
    $box = reach_of($placed);
    expect(min($box->left, $box->top))->toBeGreaterThanOrEqual(-1e-3)->and($box->right)->toBeLessThanOrEqual(3.001)->and($box->bottom)->toBeLessThanOrEqual(4.001);
    foreach ($artwork->layers as $other) {
        $taken = reach_of($other);
        $apart = max($taken->left - $box->right, $box->left - $taken->right, $taken->top - $box->bottom, $box->top - $taken->bottom);
        expect($apart)->toBeGreaterThanOrEqual(0.1 - 1e-3);
    }
    $nearest = nearest_free($size, $artwork, 1.5, 1.33);
    if (abs($box->width() - $size) < 1e-3) {
        // Places are a 24th of the room apart.
        expect(hypot($box->centreX() - 1.5, $box->centreY() - 1.33))->toBeLessThanOrEqual($nearest + hypot((3 - $size) / 24, (4 - $size) / 24));
    } else {
        expect($nearest)->toBe(INF);
    }
})->with(range(1, 14));

it('stays where it was wished for when nothing lies there', function (): void {
    $placed = FreeSpace::placed(asked_for(0.8), Fixtures::artwork([Fixtures::shape('a', 'ellipse', 0.5, more: ['placement' => ['x' => 1.5, 'y' => 3.5]])]), Fixtures::renderer()->placer);
    expect([$placed->placement?->x, $placed->placement?->y, $placed->placement?->width])->toBe([1.5, 1.33, 0.8]);
});

it('grows smaller where there is little room, and stays as it was on a full sheet', function (): void {
    $wall = fn (float $x, float $width): array => Fixtures::shape('w'.(int) ($x * 10), 'rectangle', $width, more: ['placement' => ['x' => $x, 'y' => 2, 'height' => 4]]);
    // A lane 1 in wide between two walls: 0.8 in are free.
    $lane = Fixtures::artwork([$wall(0.5, 1.0), $wall(2.5, 1.0)]);
    $placed = FreeSpace::placed(asked_for(1.0), $lane, Fixtures::renderer()->placer);
    expect($placed->placement?->width)->toEqualWithDelta(0.75, 1e-9)->and(reach_of($placed)->centreX())->toEqualWithDelta(1.5, 0.03);
    $full = Fixtures::artwork([$wall(0.7, 1.35), $wall(2.3, 1.35)]);
    expect(FreeSpace::placed(asked_for(1.0), $full, Fixtures::renderer()->placer))->toEqual(asked_for(1.0));
});

it('takes no heed of grounds, of lines switched off, and of what cannot be drawn', function (): void {
    $artwork = Fixtures::artwork([
        Fixtures::shape('ground', 'rectangle', 2.9, more: ['placement' => ['height' => 3.9]]), Fixtures::shape('off', 'rectangle', 1.0, more: ['on' => false, 'placement' => ['y' => 1.33]]),
        Fixtures::words('lost', 'Moth', 1.0, ['placement' => ['y' => 1.33], 'source' => ['font' => 'not-on-the-shelf.woff2']]),
    ]);
    expect(FreeSpace::placed(asked_for(0.8), $artwork, Fixtures::renderer()->placer)->placement?->y)->toBe(1.33);
});

it('counts the rings of what is there, and its own', function (): void {
    $ringed = fn (string $id, float $x, float $y): array => Fixtures::shape($id, 'rectangle', 0.6, more: ['placement' => ['x' => $x, 'y' => $y, 'height' => 0.6], 'effects' => [1 => ['kind' => 'outline', 'width' => 0.2, 'colour' => '#b04a2c', 'join' => 'round']]]);
    $artwork = Fixtures::artwork([$ringed('there', 1.5, 1.33)]);
    $placed = FreeSpace::placed(Fixtures::artwork([$ringed('new', 1.5, 1.33)])->layers[0], $artwork, Fixtures::renderer()->placer);
    $box = reach_of($placed);
    $taken = reach_of($artwork->layers[0]);
    expect($box->width())->toEqualWithDelta(1.0, 0.01)->and(max($taken->left - $box->right, $box->left - $taken->right, $taken->top - $box->bottom, $box->top - $taken->bottom))->toBeGreaterThanOrEqual(0.099);
});

it('makes a raster no wider than the house\'s least ppi lets it be, and leaves drawings and words alone', function (): void {
    $art = fn (string $file): Layer => Fixtures::artwork([['id' => 'art', 'source' => ['kind' => 'art', 'file' => $file], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.8], 'effects' => []]], ['sheet' => ['width' => 9000, 'height' => 9000, 'ppi' => 300]])->layers[0];
    $artwork = Fixtures::artwork([]);
    $placer = Fixtures::renderer()->placer;
    $pool = $art('rock-pool.png')->scaled(4.0, 1.5, 2.0);
    $ppi = $placer->effectivePpi($pool) ?? 0.0;
    $fine = FreeSpace::fine($pool, $artwork, $placer);
    $least = $artwork->brief->rule->least()->value;
    expect($ppi)->toBeLessThan($least)->and($placer->effectivePpi($fine))->toBeGreaterThanOrEqual($least)->toBeLessThan($least * 1.01)
        ->and(FreeSpace::fine($art('moth.svg')->scaled(9.0, 1.5, 2.0), $artwork, $placer))->toEqual($art('moth.svg')->scaled(9.0, 1.5, 2.0));
});
