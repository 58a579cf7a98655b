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

// Reckoned by hand after SVG 1.1, 8.3: small letters go on from where the last ended, a closed line from where it began; tenths of a pixel from the bottom left.
it('reads what potrace writes, as SVG means it', function (): void {
    $path = TracedPath::read('<path d="M100 200l300 0 0 100z m50 10c10 20 30 40 50 60l-20 -5"/>', height: 40, rim: 3)->path();
    $numbers = array_map(fn (array $segment): array => array_map(fn (float|string $number): float|string => is_string($number) ? $number : round($number, 6), $segment), $path->segments);
    expect($numbers)->toBe([
        ['M', 7.0, 17.0], ['L', 37.0, 17.0], ['L', 37.0, 7.0], ['Z'],
        ['M', 12.0, 16.0], ['C', 13.0, 14.0, 15.0, 12.0, 17.0, 10.0], ['L', 15.0, 10.5],
    ]);
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
