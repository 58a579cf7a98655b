<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Edit\EditRefused;
use TallCrow\Edit\FreeSpace;
use TallCrow\Edit\Operations;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/desk.php';

// What is sent may be as long as its bound says and no longer: a list of one more is refused with its path.

/** @param  Closure(int): array<string, mixed>  $operation  of so many */
function holds_just(int $most, Closure $operation, string $path): void
{
    expect(Operations::read([$operation($most)]))->toHaveCount(1)
        ->and(fn () => Operations::read([$operation($most + 1)]))->toThrow(ArtworkInvalid::class, $path);
}

it('takes two hundred pieces at once', function (): void {
    $ids = fn (int $count): array => array_map(fn (int $i): string => "p$i", range(1, $count));
    holds_just(200, fn (int $count): array => ['op' => 'move', 'ids' => $ids($count), 'dx' => 0.1, 'dy' => 0.0], 'ids');
    holds_just(200, fn (int $count): array => ['op' => 'group', 'ids' => $ids($count)], 'ids');
});

it('takes two thousand points of a line that is drawn, and four hundred strokes of a brush', function (): void {
    $points = fn (int $count): array => array_map(fn (int $i): array => [$i / 1000, 0.5], range(1, $count));
    $mask = fn (array $mask): array => ['op' => 'add-mask', 'id' => 'a', 'mask' => $mask];
    holds_just(2000, fn (int $count): array => $mask(['kind' => 'freehand', 'points' => $points($count)]), 'points');
    holds_just(2000, fn (int $count): array => $mask(['kind' => 'brush', 'strokes' => [['points' => $points($count), 'width' => 0.1]]]), 'points');
    holds_just(400, fn (int $count): array => $mask(['kind' => 'brush', 'strokes' => array_fill(0, $count, ['points' => $points(1), 'width' => 0.1])]), 'strokes');
    holds_just(2000, fn (int $count): array => ['op' => 'draw', 'id' => '', 'stroke' => ['points' => $points($count), 'width' => 0.1]], 'points');
});

it('takes sixty words of a recipe to put others for', function (): void {
    $words = fn (int $count, string $of): array => array_map(fn (int $i): string => "$of$i", range(1, $count));
    holds_just(60, fn (int $count): array => ['op' => 'follow-recipe', 'id' => '', 'words' => '', 'layers' => [], 'swatches' => [], 'replace' => $words($count, 'a'), 'with' => $words($count, 'b')], 'replace');
});

it('names sixty-four colours', function (): void {
    $named = fn (int $count): Artwork => Fixtures::artwork([Fixtures::shape('s', 'star', 1, '#b04a2c')], ['swatches' => array_map(fn (int $i): array => ['name' => "c$i", 'colour' => sprintf('#%06x', 100 + $i)], range(1, $count))]);
    expect(operated($named(63), ['op' => 'name-colour', 'colour' => '#b04a2c', 'name' => 'Rust'])->artwork->swatches)->toHaveCount(64)
        ->and(fn () => operated($named(64), ['op' => 'name-colour', 'colour' => '#b04a2c', 'name' => 'Rust']))->toThrow(EditRefused::class, 'more than 64 named colours');
});

it('carries out two hundred operations at once', function (): void {
    expect(Operations::read(array_fill(0, 200, ['op' => 'remove', 'ids' => ['a']])))->toHaveCount(200)
        ->and(fn () => Operations::read(array_fill(0, 201, ['op' => 'remove', 'ids' => ['a']])))->toThrow(ArtworkInvalid::class);
});

it('takes a piece for a ground from half the sheet on', function (float $width, bool $isGround): void {
    // A sheet of 3 × 4 in; over a ground a new piece stays where it was wished for.
    $sheet = Fixtures::artwork([Fixtures::shape('g', 'rectangle', $width, more: ['placement' => ['x' => 1.5, 'y' => 1.7, 'height' => 2.4]])]);
    $new = Fixtures::artwork([Fixtures::shape('new', 'rectangle', 0.6, more: ['placement' => ['x' => 1.5, 'y' => 1.33, 'height' => 0.6]])])->layers[0];
    $placed = FreeSpace::placed($new, $sheet, Fixtures::renderer()->placer);
    expect($placed->placement?->y === 1.33)->toBe($isGround);
})->with([[2.4, false], [2.6, true], [2.9, true]]);
