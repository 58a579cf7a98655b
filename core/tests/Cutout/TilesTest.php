<?php

declare(strict_types=1);

use TallCrow\Cutout\Tiles;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;

/** A picture in which no two parts are alike. */
function noise_of(int $width, int $height, int $bands): Image
{
    mt_srand(17);

    return Image::raw(implode('', array_map(fn (): string => chr(mt_rand(0, 255)), range(1, $width * $height * $bands))), $width, $height, $bands);
}

/** A mask with a few pixels at the given places. */
function spots(int $width, int $height, array $places): Image
{
    $bytes = str_repeat("\0", $width * $height);
    foreach ($places as [$x, $y]) {
        $bytes[$y * $width + $x] = "\xff";
    }

    return Image::raw($bytes, $width, $height, 1);
}

// 230 and 215 are less than half a square more than two.
it('takes the squares in which there is something, and lays them back where they were', function (array $places): void {
    $picture = noise_of(230, 215, 3);
    $tiles = Tiles::with(spots(230, 215, $places), 6);
    expect($tiles?->laid($tiles->packed($picture), $picture)->toBytes())->toBe($picture->toBytes());
})->with([
    'one' => [[[3, 3]]],
    'the last' => [[[229, 214]]],
    'several' => [[[0, 0], [125, 100], [229, 10]]],
    'all' => [[[0, 0], [100, 0], [229, 0], [0, 100], [100, 100], [229, 100], [0, 214], [100, 214], [229, 214]]],
]);

it('takes more squares than it lays in one pass', function (): void {
    $places = array_map(fn (int $at): array => [$at % 17 * 96 + 7, intdiv($at, 17) * 96 + 5], range(0, 16 * 17 - 1));
    $picture = noise_of(1630, 1530, 1);
    $tiles = Tiles::with(spots(1630, 1530, $places), 3);
    expect($tiles?->laid($tiles->packed($picture)->inverted()->settled(), $picture)->toBytes())->toBe($picture->inverted()->toBytes());
});

it('changes what is done to the squares, and nothing beside them', function (): void {
    $picture = noise_of(230, 215, 1);
    $tiles = Tiles::with(spots(230, 215, [[100, 100]]), 6);
    $changed = $tiles?->laid($tiles->packed($picture)->inverted()->settled(), $picture)->settled();
    expect($changed?->crop(96, 96, 96, 96)->toBytes())->toBe($picture->inverted()->crop(96, 96, 96, 96)->toBytes())
        ->and($changed?->crop(0, 0, 96, 215)->toBytes())->toBe($picture->crop(0, 0, 96, 215)->toBytes())
        ->and($changed?->crop(192, 0, 38, 215)->toBytes())->toBe($picture->crop(192, 0, 38, 215)->toBytes());
});

it('works a filter on the squares as on the whole, for as far as it reaches', function (): void {
    $picture = noise_of(230, 215, 1);
    $tiles = Tiles::with(spots(230, 215, [[100, 100], [229, 214], [2, 2]]), 9);
    $blurred = fn (Image $of): Image => Blur::gaussian($of, 2.0, 0.02)->settled();
    $laid = $tiles?->laid($blurred($tiles->packed($picture)), $picture)->settled();
    foreach ([[96, 96, 96, 96], [192, 192, 38, 23], [0, 0, 96, 96]] as $square) {
        expect($laid?->crop(...$square)->toBytes())->toBe($blurred($picture)->crop(...$square)->toBytes());
    }
});

it('says where there is nothing to do, and where there is something nearly everywhere', function (): void {
    expect(Tiles::with(spots(230, 215, []), 6))->toBeNull()
        ->and(Tiles::with(spots(230, 215, [[0, 0], [100, 0], [229, 0], [0, 100], [100, 100]]), 6)?->areMost())->toBeFalse()
        ->and(Tiles::with(spots(230, 215, [[0, 0], [100, 0], [229, 0], [0, 100], [100, 100], [229, 100]]), 6)?->areMost())->toBeTrue();
});

it('finds a single pixel in a square', function (): void {
    foreach ([[0, 0], [95, 95], [96, 95], [191, 100]] as $place) {
        expect(Tiles::with(spots(200, 200, [$place]), 0)?->packed(spots(200, 200, [$place]))->crop($place[0] % 96, $place[1] % 96, 1, 1)->toBytes())->toBe("\xff");
    }
});

it('takes the squares under a smaller mask: all that any of its pixels lies in, even in part', function (array $places, array $squares): void {
    // A pixel of the small one is 2.5 of the large: the 39th begins in the first square and ends in the second, which begins at 96.
    $tiles = Tiles::under(spots(100, 80, $places), 250, 200, 0);
    $picture = Image::empty(250, 200, 1)->inverted()->settled();
    $laid = $tiles?->laid($tiles->packed($picture->inverted()->settled()), $picture)->settled();
    foreach (range(0, 8) as $square) {
        [$x, $y] = [$square % 3 * 96 + 25, intdiv($square, 3) * 96 + 5];
        expect($laid?->crop($x, $y, 1, 1)->toBytes())->toBe(in_array($square, $squares, true) ? "\0" : "\xff");
    }
})->with([
    'within one' => [[[10, 10]], [0]],
    'over the border of two' => [[[38, 10]], [0, 1]],
    'over a corner' => [[[38, 38]], [0, 1, 3, 4]],
    'the last' => [[[99, 79]], [8]],
    'two' => [[[10, 10], [60, 50]], [0, 4]],
]);

it('has no squares under an empty mask, and is flat in all where nothing is', function (): void {
    expect(Tiles::under(spots(100, 80, []), 250, 200, 0))->toBeNull();
    // Left half none, right half all: squares take what is in their middle.
    $halves = Image::raw(str_repeat(str_repeat("\0", 50).str_repeat("\xff", 50), 80), 100, 80, 1);
    $flat = Tiles::flat($halves, 250, 200);
    expect([$flat->width(), $flat->height()])->toBe([250, 200])->and(array_map(fn (int $x): string => bin2hex($flat->crop($x, 150, 1, 1)->toBytes()), [0, 95, 96, 191, 192, 249]))->toBe(['00', '00', 'ff', 'ff', 'ff', 'ff']);
});
