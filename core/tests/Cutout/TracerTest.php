<?php

declare(strict_types=1);

use TallCrow\Cutout\TracedPath;
use TallCrow\Cutout\Tracer;
use TallCrow\Cutout\TracerFailed;
use TallCrow\Raster\Image;

/** A plate so many pixels wide at the left of 60 × 40. */
function traced_plate(int $width): Image
{
    return Image::raw(str_repeat(str_repeat("\xff", $width).str_repeat("\0", 60 - $width), 40), 60, 40, 1);
}

it('traces more masks than run side by side, each in its place', function (): void {
    $paths = Tracer::outlines(array_map(traced_plate(...), [10, 20, 0, 30, 40, 50, 60]));
    $wide = fn (TracedPath $path): int => $path->isEmpty() ? 0 : (int) round($path->path()->bounds()->width());
    expect(array_map($wide, $paths))->toBe([10, 20, 0, 30, 40, 50, 60]);
});

it('says that potrace is missing', function (): void {
    $path = (string) getenv('PATH');
    putenv('PATH=/nowhere');
    try {
        expect(fn () => Tracer::outlines(array_map(traced_plate(...), [10, 20])))->toThrow(TracerFailed::class, '(it could not be started)');
    } finally {
        putenv("PATH=$path");
    }
});
