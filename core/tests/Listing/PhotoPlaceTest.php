<?php

declare(strict_types=1);

use TallCrow\Listing\PhotoPlace;
use TallCrow\Listing\PhotoRefused;
use TallCrow\Listing\Scene;
use TallCrow\Listing\SceneSheet;

/**
 * Where a place of the photo lies in the picture.
 *
 * @param  array{float, float, float, float, float, float, float, float}  $map
 * @return array{float, float}
 */
function mapped_to(array $map, float $x, float $y): array
{
    $under = $map[6] * $x + $map[7] * $y + 1;

    return [($map[0] * $x + $map[1] * $y + $map[2]) / $under, ($map[3] * $x + $map[4] * $y + $map[5]) / $under];
}

const QUADRANGLES = [
    'upright' => [[[100.0, 50.0], [300.0, 50.0], [300.0, 350.0], [100.0, 350.0]]],
    'a parallelogram' => [[[100.0, 50.0], [300.0, 90.0], [360.0, 380.0], [160.0, 340.0]]],
    'leaning back' => [[[140.0, 60.0], [260.0, 60.0], [330.0, 340.0], [70.0, 340.0]]],
    'askew' => [[[120.0, 40.0], [310.0, 95.0], [280.0, 330.0], [60.0, 290.0]]],
];

it('maps the corners of a place to the corners of the picture', function (array $corners): void {
    $map = PhotoPlace::at($corners, 0.5)->toPicture(800, 1000);
    foreach ([[0, 0], [800, 0], [800, 1000], [0, 1000]] as $i => $to) {
        expect(mapped_to($map, ...$corners[$i]))->toEqualWithDelta($to, 1e-6);
    }
})->with(QUADRANGLES);

it('keeps straight lines straight, and halves alone where sides are parallel', function (array $corners): void {
    $map = PhotoPlace::at($corners, 0.5)->toPicture(800, 1000);
    $along = fn (array $from, array $to, float $share): array => [$from[0] + $share * ($to[0] - $from[0]), $from[1] + $share * ($to[1] - $from[1])];
    foreach ([0.2, 0.5, 0.7] as $share) {
        // A point of the upper side lies on the upper side of the picture.
        expect(mapped_to($map, ...$along($corners[0], $corners[1], $share))[1])->toEqualWithDelta(0.0, 1e-6)
            ->and(mapped_to($map, ...$along($corners[1], $corners[2], $share))[0])->toEqualWithDelta(800.0, 1e-6);
    }
    // The diagonals of the place cross where those of the picture do (any projective map keeps that).
    [$a, $b, $c, $d] = $corners;
    $under = ($a[0] - $c[0]) * ($b[1] - $d[1]) - ($a[1] - $c[1]) * ($b[0] - $d[0]);
    $share = (($a[0] - $b[0]) * ($b[1] - $d[1]) - ($a[1] - $b[1]) * ($b[0] - $d[0])) / $under;
    expect(mapped_to($map, ...$along($a, $c, $share)))->toEqualWithDelta([400.0, 500.0], 1e-6);
})->with(QUADRANGLES);

it('takes corners that enclose enough to look at, and folds between none and whole', function (): void {
    $square = fn (float $side): array => [[0.0, 0.0], [$side, 0.0], [$side, $side], [0.0, $side]];
    // Four hundred square pixels.
    expect(fn () => PhotoPlace::at($square(19.99), 0.5))->toThrow(PhotoRefused::class)->and(PhotoPlace::at($square(20.0), 0.5)->folds)->toBe(0.5)
        ->and(PhotoPlace::at($square(40.0), -0.2)->folds)->toBe(0.0)->and(PhotoPlace::at($square(40.0), 1.4)->folds)->toBe(1.0)
        // Turned over, or with two corners in one place, it cannot be looked at.
        ->and(fn () => PhotoPlace::at(array_reverse($square(40.0)), 0.5))->toThrow(PhotoRefused::class)
        ->and(fn () => PhotoPlace::at([[0.0, 0.0], [40.0, 0.0], [40.0, 0.0], [0.0, 40.0]], 0.5))->toThrow(PhotoRefused::class);
});

it('turns a garment by no more than its scene says, and by the same for the same seed', function (): void {
    $sheet = array_values(array_filter(SceneSheet::all(), fn (SceneSheet $one): bool => $one->turn > 0))[0];
    $turns = array_map(fn (int $seed): float => (new Scene('tee', false, $sheet, $seed))->turn(), range(1, 200));
    expect(max(array_map(abs(...), $turns)))->toBeLessThanOrEqual($sheet->turn)->and(max($turns))->toBeGreaterThan(0.9 * $sheet->turn)->and(min($turns))->toBeLessThan(-0.9 * $sheet->turn)
        ->and(abs(array_sum($turns)) / 200)->toBeLessThan(0.2 * $sheet->turn)->and((new Scene('tee', true, $sheet, 7))->turn())->toBe($turns[6])
        ->and((new Scene('tee', false, SceneSheet::plain(), 3))->turn())->toEqualWithDelta(0.0, SceneSheet::plain()->turn);
});

it('is shrunk to whole pixels, none of it lost', function (): void {
    $scene = (new Scene('hoodie', true, SceneSheet::plain(), 5, 2500, 2101))->shrunk(4);
    expect([$scene->width, $scene->height, $scene->seed, $scene->product, $scene->back])->toBe([625, 526, 5, 'hoodie', true]);
});
