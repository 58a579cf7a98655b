<?php

declare(strict_types=1);

use TallCrow\Geometry\Affine;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Coverage;
use TallCrow\Raster\Image;

it('leaves as much to be laid behind that the larger of two is covered', function (int $all, int $over): void {
    $behind = ord(Coverage::behind(Image::raw(chr($all), 1, 1, 1), Image::raw(chr($over), 1, 1, 1))->toBytes());
    // What lies over covers its part; of the rest, as much as is laid behind (Porter and Duff, "Compositing Digital Images", 1984).
    $covered = $over + $behind * (255 - $over) / 255;
    expect($covered)->toEqualWithDelta(max($all, $over), 0.6);
})->with([[128, 128], [255, 128], [200, 100], [100, 200], [0, 90], [77, 0], [255, 255], [0, 255], [1, 254], [254, 1]]);

it('covers each pixel of a page as a mask has it', function (): void {
    $levels = implode('', array_map(chr(...), range(0, 254, 17)));
    $canvas = new Canvas(5, 3, new Affine(72, 0, 0, 72, 0, 0));
    expect($canvas->isEmpty())->toBeTrue();
    $canvas->cover(Image::raw($levels, 5, 3, 1));
    expect($canvas->isEmpty())->toBeFalse()->and($canvas->mask()->toBytes())->toBe($levels);
});
