<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\FolderShelf;
use TallCrow\Edit\Operations;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** A half moon, cut off straight at its lower side, 2 in wide and 1 in high about (2, 2). */
function half_moon(array $placement = []): Artwork
{
    return ArtworkReader::data(Fixtures::sheet([['id' => 'moon', 'source' => ['kind' => 'art', 'file' => 'moon.png'], 'placement' => $placement + ['x' => 2, 'y' => 2, 'width' => 2, 'turn' => 0], 'effects' => []]], ['sheet' => ['width' => 1200, 'height' => 1200, 'ppi' => 300]]));
}

function half_moon_shelf(): FolderShelf
{
    static $folder = null;
    if ($folder === null) {
        $folder = Fixtures::temporary('half-moon');
        Fixtures::run(['convert', '-size', '600x300', 'xc:none', '-fill', '#7a3527', '-draw', 'circle 300,300 300,0', '-fill', '#d9a441', '-draw', 'rectangle 80,270 180,300', "PNG32:$folder/moon.png"]);
    }

    return new FolderShelf($folder);
}

/** The alpha and the colour at a place of the sheet, in inches. @return list<int> */
function at_inch(Image $picture, float $x, float $y): array
{
    return Fixtures::pixel($picture, (int) round($x * 100), (int) round($y * 100));
}

/** @param  array<string, mixed>  $operation */
function covered_at(Artwork $artwork, array $operation): Artwork
{
    return Operations::apply(Operations::read([$operation]), $artwork, Fixtures::renderer(half_moon_shelf())->placer)->artwork;
}

function moon_drawn(Artwork $artwork): Image
{
    return Fixtures::renderer(half_moon_shelf())->picture($artwork, TallCrow\Render\Frame::sheet($artwork->sheet, 100))->settled();
}

// What lies beyond the line is what lies within it, as far from it: a mirror.
it('carries a cut piece on by its mirror picture, which is torn off', function (): void {
    $picture = moon_drawn(covered_at(half_moon(), ['op' => 'cover-cut', 'id' => 'moon', 'side' => 'bottom', 'with' => 'patch']));
    foreach ([[1.4, 0.05], [1.5, 0.15], [2.0, 0.1], [2.6, 0.15], [0.95, 0.1], [3.05, 0.1]] as [$x, $far]) {
        [$within, $beyond] = [at_inch($picture, $x, 2.5 - $far), at_inch($picture, $x, 2.5 + $far - 0.01)];
        expect($beyond)->toBe($within, "$x in, $far in from the line");
    }
    // No cloth shows along the seam, and the far half of the mirror picture is gone.
    for ($x = 1.1; $x < 2.9; $x += 0.05) {
        expect(at_inch($picture, $x, 2.5)[3])->toBe(255)->and(at_inch($picture, $x, 2.92)[3])->toBe(0);
    }
});

it('stands a cut piece on a bar that hides the line, whichever way it lies', function (array $placement, string $side, array $along, array $across): void {
    $covered = covered_at(half_moon($placement), ['op' => 'cover-cut', 'id' => 'moon', 'side' => $side, 'with' => 'base']);
    $picture = moon_drawn($covered);
    expect(array_map(fn (Layer $layer): string => $layer->id === 'moon' ? 'moon' : $layer->source->called(), $covered->layers))->toBe(['moon', 'Rectangle']);
    $bar = Fixtures::pixel($picture, (int) ($along[0] * 100), (int) ($along[1] * 100));
    expect($bar[3])->toBe(255)->and($bar)->not->toBe(at_inch($picture, 2, 2));
    // As wide as the line and a little more, and an eighth of an inch to both sides of it.
    foreach ([-1.05, -0.9, 0.0, 0.9, 1.05] as $i) {
        foreach ([-0.12, 0.0, 0.12] as $j) {
            expect(at_inch($picture, $along[0] + $i * $across[1] + $j * $across[0], $along[1] + $i * $across[0] + $j * $across[1]))->toBe($bar);
        }
    }
})->with([
    'upright' => [[], 'bottom', [2.0, 2.5], [0.0, 1.0]],
    'on its head' => [['flip' => 'down'], 'top', [2.0, 1.5], [0.0, 1.0]],
    'turned by a quarter' => [['turn' => 90], 'bottom', [1.5, 2.0], [1.0, 0.0]],
]);

it('mirrors the piece as it lies: on its head, across, and turned', function (array $placement, string $side, array $within, array $beyond): void {
    $picture = moon_drawn(covered_at(half_moon($placement), ['op' => 'cover-cut', 'id' => 'moon', 'side' => $side, 'with' => 'patch']));
    expect(at_inch($picture, ...$within))->toBe([217, 164, 65, 255])->and(at_inch($picture, ...$beyond))->toBe([217, 164, 65, 255]);
})->with([
    'upright' => [[], 'bottom', [1.4, 2.46], [1.4, 2.54]],
    'on its head' => [['flip' => 'down'], 'top', [1.4, 1.54], [1.4, 1.46]],
    'across' => [['flip' => 'across'], 'bottom', [2.6, 2.46], [2.6, 2.54]],
    'turned' => [['turn' => 90], 'bottom', [1.54, 1.4], [1.46, 1.4]],
]);

it('makes the bar a tenth as thick as the side is long, and at least a quarter of an inch', function (float $width, float $long, float $thick): void {
    $sheet = covered_at(half_moon(['width' => $width]), ['op' => 'cover-cut', 'id' => 'moon', 'side' => 'bottom', 'with' => 'base']);
    $bar = $sheet->layers[1]->placement;
    expect($bar?->width)->toEqualWithDelta($long, 1e-3)->and($bar?->height)->toEqualWithDelta($thick, 1e-3)->and($bar?->y)->toEqualWithDelta(2 + $width / 4, 5e-3);
})->with([[1.0, 1.12, 0.26], [2.0, 2.24, 0.26], [3.5, 3.92, 0.35]]);

it('tears the mirror picture off within three tenths of the piece, and lays it a hair within the line', function (float $width): void {
    $sheet = covered_at(half_moon(['width' => $width]), ['op' => 'cover-cut', 'id' => 'moon', 'side' => 'bottom', 'with' => 'patch']);
    // 3 in of art are 1.5 in high; the mirror picture is torn between 0.3 of that, less the depth of the tear, and 0.3 of it and half the tear more.
    $deep = $width / 2;
    $torn = min(0.3, 0.3 * $deep * 0.6);
    $picture = moon_drawn($sheet);
    $line = 2 + $deep / 2;
    $ends = [];
    for ($x = 2 - $width / 4; $x < 2 + $width / 4; $x += 0.02) {
        $at = $line;
        while (at_inch($picture, $x, $at)[3] > 127) {
            $at += 0.01;
        }
        $ends[] = $at - $line;
    }
    expect(max($ends))->toBeLessThan(0.3 * $deep + $torn / 2 + 0.02)->toBeGreaterThan(0.3 * $deep - $torn / 2)->and(min($ends))->toBeGreaterThan(0.3 * $deep - $torn / 2 - 0.02)->and(max($ends) - min($ends))->toBeGreaterThan($torn / 3);
    // A seam of a two-hundredth of an inch: the mirror picture's own line lies as far above that of the piece.
    $mirrored = $sheet->layers[0]->placement;
    expect($mirrored?->y)->toEqualWithDelta(2 + $deep - 0.01, 3e-3);
})->with([2.0, 3.0]);
