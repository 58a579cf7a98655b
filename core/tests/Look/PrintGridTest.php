<?php

declare(strict_types=1);

use TallCrow\Look\Dots;
use TallCrow\Look\Grain;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\Screen;
use TallCrow\Raster\Image;

/** A grid whose fields are kept, with the keys that were asked for. */
function keeping_grid(float $ppi, array $at, array &$keys): PrintGrid
{
    return PrintGrid::ofInk($ppi, $at, function (string $key, Closure $make) use (&$keys): Image {
        $keys[] = $key;

        return $make()->settled();
    });
}

// A field hangs on the sheet's pixels alone: put together of blocks it is what it is in one piece.
it('puts fields together of blocks as they are in one piece', function (float $ppi, array $at, int $width, int $height): void {
    $keys = [];
    $strength = Image::empty($width, $height, 1)->linearByte(1, 120)->settled();
    $screen = new Screen(33, 22, Dots::Ellipse);
    $cut = fn (PrintGrid $grid): string => md5($screen->cut($strength, $grid)->toBytes());
    expect($cut(keeping_grid($ppi, $at, $keys)))->toBe($cut(PrintGrid::ofInk($ppi, $at)));
    // Where grain lies between pixels, the middle of two levels may be rounded either way.
    $grain = fn (PrintGrid $grid): Image => Grain::over($strength, 0.02, 7, $grid)->linear(1.0);
    expect($grain(keeping_grid($ppi, $at, $keys))->minus($grain(PrintGrid::ofInk($ppi, $at)))->raised(2.0)->range()[1])->toBeLessThanOrEqual(1.0)->and(count(array_unique($keys)))->toBe(count($keys));
})->with([
    'in one block' => [300.0, [10, 20], 200, 100], 'across a corner' => [300.0, [980, 1000], 120, 130], 'before the sheet' => [300.0, [-40, -1100], 90, 150],
    'at a proof\'s ppi' => [60.0, [190, 180], 300, 260], 'small blocks' => [15.0, [60, 50], 80, 90],
]);

it('asks for the same blocks wherever a window lies in them', function (): void {
    [$one, $other] = [[], []];
    $band = Image::empty(50, 50, 1);
    Grain::over($band, 0.02, 7, keeping_grid(300.0, [100, 100], $one))->settled();
    Grain::over($band, 0.02, 7, keeping_grid(300.0, [163, 131], $other))->settled();
    expect($one)->toBe($other)->and($one)->toHaveCount(1);
    Grain::over($band, 0.02, 8, keeping_grid(300.0, [100, 100], $other))->settled();
    expect($other[1])->not->toBe($one[0]);
});

it('lays a coarser band on finer pixels, each as many times as it is large', function (): void {
    $band = Image::raw(implode('', array_map(chr(...), range(1, 12))), 4, 3, 1);
    $grid = PrintGrid::under(300.0, [0, 0], 3, [2, 1, 7, 5], null);
    $rows = array_map(fn (string $row): array => array_values((array) unpack('C*', $row)), str_split($grid->fine($band)->toBytes(), 7));
    // Pixel (x, y) of the cut is pixel (x + 2, y + 1) of the finer ones, three of which are one of the band.
    foreach ($rows as $y => $row) {
        expect($row)->toBe(array_map(fn (int $x): int => 1 + intdiv($x + 2, 3) + 4 * intdiv($y + 1, 3), range(0, 6)));
    }
    expect($rows)->toHaveCount(5)->and(PrintGrid::ofInk(300.0, [0, 0])->fine($band))->toBe($band);
});

it('lies at the same inches when its pixels are finer', function (): void {
    $grid = PrintGrid::ofInk(60.0, [7, -3])->finer(5);
    expect($grid->ppi)->toBe(300.0)->and($grid->at)->toBe([35, -15])->and($grid->at[0] / $grid->ppi)->toEqualWithDelta(7 / 60, 1e-12);
});
