<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Raster\SoftProof;

// Black point compensation maps the darkest colour to the darkest ink and back (ISO 18619); relative intent keeps the white of the paper white. That neon
// green cannot be printed while earth colours can is common practice.
it('keeps black, white and earth colours, and shows what inks make of neon', function (string $colour, float $least, float $most): void {
    [$printed] = SoftProof::of([Srgb::hex($colour)]);
    expect($printed->toLab()->difference(Srgb::hex($colour)->toLab()))->toBeBetween($least, $most);
})->with([['#000000', 0, 3], ['#1f1d1a', 0, 3], ['#ffffff', 0, 0.5], ['#7a3527', 0, 1.2], ['#d9c9a8', 0, 3], ['#00ff40', 15, 40]]);

it('answers for each colour in turn, and for none', function (): void {
    $colours = array_map(Srgb::hex(...), ['#7a3527', '#ffffff', '#00ff40']);
    expect(SoftProof::of($colours))->toEqual(array_merge(...array_map(fn (Srgb $colour): array => SoftProof::of([$colour]), $colours)))
        ->and(SoftProof::of([]))->toBe([]);
});
