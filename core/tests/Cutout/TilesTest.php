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

it('takes the squares in which there is something, and lays them back where they were', function (array $places): void {
    $picture = noise_of(500, 430, 3);
    $tiles = Tiles::with(spots(500, 430, $places), 6);
    expect($tiles?->laid($tiles->packed($picture), $picture)->toBytes())->toBe($picture->toBytes());
})->with([
    'one' => [[[3, 3]]],
    'the last' => [[[499, 429]]],
    'several' => [[[0, 0], [250, 200], [499, 10]]],
    'all' => [[[0, 0], [200, 0], [499, 0], [0, 200], [200, 200], [499, 200], [0, 429], [200, 429], [499, 429]]],
]);

it('changes what is done to the squares, and nothing beside them', function (): void {
    $picture = noise_of(500, 430, 1);
    $tiles = Tiles::with(spots(500, 430, [[200, 200]]), 6);
    $changed = $tiles?->laid($tiles->packed($picture)->inverted()->settled(), $picture)->settled();
    expect($changed?->crop(192, 192, 192, 192)->toBytes())->toBe($picture->inverted()->crop(192, 192, 192, 192)->toBytes())
        ->and($changed?->crop(0, 0, 192, 430)->toBytes())->toBe($picture->crop(0, 0, 192, 430)->toBytes())
        ->and($changed?->crop(384, 0, 116, 430)->toBytes())->toBe($picture->crop(384, 0, 116, 430)->toBytes());
});

it('works a filter on the squares as on the whole, for as far as it reaches', function (): void {
    $picture = noise_of(500, 430, 1);
    $tiles = Tiles::with(spots(500, 430, [[200, 200], [499, 429], [2, 2]]), 9);
    $blurred = fn (Image $of): Image => Blur::gaussian($of, 2.0, 0.02)->settled();
    $laid = $tiles?->laid($blurred($tiles->packed($picture)), $picture)->settled();
    foreach ([[192, 192, 192, 192], [384, 384, 116, 46], [0, 0, 192, 192]] as $square) {
        expect($laid?->crop(...$square)->toBytes())->toBe($blurred($picture)->crop(...$square)->toBytes());
    }
});

it('says where there is nothing to do, and where there is something nearly everywhere', function (): void {
    expect(Tiles::with(spots(500, 430, []), 6))->toBeNull()
        ->and(Tiles::with(spots(500, 430, [[0, 0], [200, 0], [499, 0], [0, 200], [200, 200]]), 6)?->areMost())->toBeFalse()
        ->and(Tiles::with(spots(500, 430, [[0, 0], [200, 0], [499, 0], [0, 200], [200, 200], [499, 200]]), 6)?->areMost())->toBeTrue();
});

it('finds a single pixel in a square', function (): void {
    foreach ([[0, 0], [191, 191], [192, 191], [383, 200]] as $place) {
        expect(Tiles::with(spots(400, 400, [$place]), 0)?->packed(spots(400, 400, [$place]))->crop($place[0] % 192, $place[1] % 192, 1, 1)->toBytes())->toBe("\xff");
    }
});

it('takes the squares under a smaller mask: all that any of its pixels lies in, even in part', function (array $places, array $squares): void {
    // A pixel of the small one is 2.5 of the large: the 77th ends where the second square begins, at 192, and the 78th lies in it.
    $tiles = Tiles::under(spots(200, 160, $places), 500, 400, 0);
    $picture = Image::empty(500, 400, 1)->inverted()->settled();
    $laid = $tiles?->laid($tiles->packed($picture->inverted()->settled()), $picture)->settled();
    foreach (range(0, 8) as $square) {
        [$x, $y] = [$square % 3 * 192 + 50, intdiv($square, 3) * 192 + 5];
        expect($laid?->crop($x, $y, 1, 1)->toBytes())->toBe(in_array($square, $squares, true) ? "\0" : "\xff");
    }
})->with([
    'within one' => [[[10, 10]], [0]],
    'over the border of two' => [[[76, 10]], [0, 1]],
    'over a corner' => [[[76, 76]], [0, 1, 3, 4]],
    'the last' => [[[199, 159]], [8]],
    'two' => [[[10, 10], [120, 100]], [0, 4]],
]);

it('has no squares under an empty mask, and is flat in all where nothing is', function (): void {
    expect(Tiles::under(spots(200, 160, []), 500, 400, 0))->toBeNull();
    // Left half none, right half all: squares take what is in their middle.
    $halves = Image::raw(str_repeat(str_repeat("\0", 100).str_repeat("\xff", 100), 160), 200, 160, 1);
    $flat = Tiles::flat($halves, 500, 400);
    expect([$flat->width(), $flat->height()])->toBe([500, 400])->and(array_map(fn (int $x): string => bin2hex($flat->crop($x, 300, 1, 1)->toBytes()), [0, 191, 192, 383, 384, 499]))->toBe(['00', '00', 'ff', 'ff', 'ff', 'ff']);
});
