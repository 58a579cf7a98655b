<?php

declare(strict_types=1);

use TallCrow\Artwork\PrintMethod;
use TallCrow\Colour\Srgb;
use TallCrow\Press\Press;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** A plate of one ink and strength in the middle of 300 × 300 px. */
function plate_of(string $hex, int $alpha): Image
{
    return Image::flat(Srgb::hex($hex), Image::raw(str_repeat(chr($alpha), 200 * 200), 200, 200, 1)->embed(50, 50, 300, 300))->settled();
}

/** @return array{float, float, float} mean of a part of it */
function mean_of(Image $image, int $left, int $top, int $side): array
{
    return array_map(fn (int $band): float => $image->band($band)->crop($left, $top, $side, $side)->mean(), [0, 1, 2]);
}

it('prints half-transparent ink of dark cloth over white, as haze, and of light cloth as it is', function (): void {
    $black = Press::of(PrintMethod::DirectToGarment, Srgb::hex('#17181a'), 300)->printed(plate_of('#b04a2c', 60));
    $white = Press::of(PrintMethod::DirectToGarment, Srgb::hex('#fdfdfb'), 300)->printed(plate_of('#b04a2c', 60));
    // Meant was a weak red on black; what prints is nearly white.
    expect(min(mean_of($black, 120, 120, 60)))->toBeGreaterThan(150.0)->and(mean_of($black, 5, 5, 30)[0])->toBeLessThan(30.0)
        ->and(mean_of($white, 120, 120, 60)[0])->toBeGreaterThan(220.0);
});

it('lays white under all ink, drawn in from its edge by a pixel or two', function (): void {
    $press = Press::of(PrintMethod::DirectToGarment, Srgb::hex('#17181a'), 300);
    $under = $press->underbase(plate_of('#b04a2c', 255)->alpha())->isMore(127.0)->settled()->inkBox();
    expect($press->hasUnderbase())->toBeTrue()->and($under[0] ?? 0)->toBeGreaterThan(50)->toBeLessThan(54)->and($under[2] ?? 0)->toBeGreaterThan(192)->toBeLessThan(200)
        ->and(Press::of(PrintMethod::Sublimation, Srgb::hex('#17181a'), 300)->hasUnderbase())->toBeFalse()
        ->and(Press::of(PrintMethod::DirectToGarment, Srgb::hex('#e4d9c3'), 300)->hasUnderbase())->toBeFalse();
});

it('keeps full ink in its colour and in its place, a little broader', function (): void {
    $print = Press::of(PrintMethod::DirectToGarment, Srgb::hex('#17181a'), 300)->printed(plate_of('#b04a2c', 255));
    [$red, $green, $blue] = mean_of($print, 100, 100, 100);
    // Within what the knit and a white that is not quite white take of the light.
    expect($red / 0xB0)->toBeGreaterThan(0.86)->toBeLessThan(1.0)->and($green / 0x4A)->toBeGreaterThan(0.86)->toBeLessThan(1.02)->and($blue / 0x2C)->toBeGreaterThan(0.86)->toBeLessThan(1.03);
    // On light cloth, where no white is drawn in.
    $inked = Press::of(PrintMethod::DirectToGarment, Srgb::hex('#fdfdfb'), 300)->printed(plate_of('#1f1d1a', 255))->band(0)->isLess(120.0)->settled()->inkBox();
    expect($inked[2] ?? 0)->toBeGreaterThanOrEqual(200)->toBeLessThan(204);
});

it('loses a hairline, since no white is laid so fine, and keeps a broader line', function (): void {
    $lines = fn (int $width): Image => Image::flat(Srgb::hex('#f3ead7'), Image::raw(str_repeat("\xff", $width * 200), $width, 200, 1)->embed(150, 50, 300, 300))->settled();
    $shows = fn (int $width): float => Press::of(PrintMethod::Transfer, Srgb::hex('#17181a'), 300)->printed($lines($width))->band(0)->crop(150 + intdiv($width - 1, 2), 100, 1, 100)->mean();
    expect($shows(1))->toBeLessThan(60.0)->and($shows(6))->toBeGreaterThan(190.0);
});

it('shows nothing of sublimation on black', function (): void {
    $print = Press::of(PrintMethod::Sublimation, Srgb::hex('#17181a'), 300)->printed(plate_of('#f3ead7', 255));
    expect(mean_of($print, 100, 100, 100)[0])->toBeLessThan(32.0);
});

it('prints a part as it prints in the whole', function (): void {
    $press = Press::of(PrintMethod::DirectToGarment, Srgb::hex('#3d4a57'), 300);
    $art = Fixtures::render(Fixtures::artwork([Fixtures::words('w', 'KITE', 2.4)]));
    $whole = $press->printed($art)->crop(300, 500, 200, 200)->settled();
    $part = $press->printed($art->crop(280, 480, 240, 240)->settled(), [280, 480])->crop(20, 20, 200, 200)->settled();
    expect($whole->minus($part)->linear(1.0)->raised(2.0)->range()[1])->toBeLessThanOrEqual(4.0);
});
