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

it('draws white in by about a three-hundredth of an inch, whatever the ppi', function (float $ppi, int $pixels): void {
    $white = Press::of(PrintMethod::DirectToGarment, Srgb::hex('#17181a'), $ppi)->underbase(plate_of('#b04a2c', 255)->alpha());
    $row = array_values((array) unpack('C*', $white->crop(0, 150, 300, 1)->toBytes()));
    // Blurred evenly, so that it is half where the drawn-in edge lies.
    $left = count(array_filter(array_slice($row, 0, 150), fn (int $level): bool => $level < 128));
    expect($left)->toBe(50 + $pixels)->and(array_sum($row) / 255)->toEqualWithDelta(200.0 - 2 * $pixels, 0.1);
})->with([[75.0, 0], [300.0, 1], [450.0, 2], [600.0, 2], [900.0, 3]]);

it('lays white from six hundredths of ink on and none below', function (int $alpha, float $white): void {
    expect(Press::of(PrintMethod::Transfer, Srgb::hex('#17181a'), 300)->underbase(plate_of('#b04a2c', $alpha)->alpha())->crop(100, 100, 100, 100)->mean())->toBe($white);
})->with([[14, 0.0], [15, 0.0], [16, 255.0], [40, 255.0]]);

it('takes cloth for dark by its luminance', function (): void {
    // Relative luminance by sRGB (IEC 61966-2-1): #aaaaaa has 0.402, #a9a9a9 0.397.
    $has = fn (string $cloth): bool => Press::of(PrintMethod::DirectToGarment, Srgb::hex($cloth), 300)->hasUnderbase();
    expect($has('#aaaaaa'))->toBeFalse()->and($has('#a9a9a9'))->toBeTrue();
});

/** Light of the middle row of a print beside that of the bare cloth, by column: what the ink leaves. */
function left_by_ink(Image $art, float $ppi): array
{
    $press = Press::of(PrintMethod::DirectToGarment, Srgb::of(255, 255, 255), $ppi);
    [$print, $bare] = array_map(fn (Image $of): array => array_values((array) unpack('C*', $press->printed($of)->band(0)->crop(0, 150, 300, 1)->toBytes())), [$art, Image::empty(300, 300)]);

    return array_map(fn (int $one, int $other): float => $one / $other, $print, $bare);
}

it('gains a little ink at an edge, by a Gaussian spread made steeper', function (float $ppi): void {
    $width = array_sum(array_map(fn (float $light): float => 1 - $light, left_by_ink(plate_of('#000000', 255), $ppi)));
    // An edge at 0 under a bell of 0.0022 in, times 2.2 about its middle, and 0.06 more: by the trapezoid rule.
    $sigma = 0.0022 * $ppi;
    $edge = 0.0;
    $below = 0.0;
    for ($x = -8.0; $x < 8.0; $x += 0.001) {
        $below += exp(-$x * $x / 2) / sqrt(2 * M_PI) * 0.001;
        $edge += (min(1.0, max(0.0, 2.2 * ($below - 0.5) + 0.56)) - ($x < 0 ? 0.0 : 1.0)) * 0.001 * $sigma;
    }
    expect($edge)->toBeGreaterThan(0.0)->and($width)->toEqualWithDelta(200.0 + 2 * $edge, 0.25);
})->with([300.0, 900.0, 1800.0]);

it('knits 32 wales to the inch, and takes as little light as a knit does', function (): void {
    $cloth = Press::of(PrintMethod::DirectToGarment, Srgb::of(200, 200, 200), 300)->printed(Image::empty(1500, 600));
    expect($cloth->band(0)->mean())->toEqualWithDelta(200 * (1 - 0.045), 0.4)->and($cloth->band(0)->range()[0])->toBeGreaterThan(200 * (1 - 0.045 * 2.3))->and($cloth->band(0)->range()[1])->toBeLessThan(203.0);
    // Fourier sums over five inches: what is at so many waves to the inch stands out over its neighbours.
    $power = function (array $line, float $perInch): float {
        $cos = $sin = 0.0;
        $mean = array_sum($line) / count($line);
        foreach ($line as $i => $level) {
            $cos += ($level - $mean) * cos(2 * M_PI * $perInch * ($i + 0.5) / 300);
            $sin += ($level - $mean) * sin(2 * M_PI * $perInch * ($i + 0.5) / 300);
        }

        return 2 * hypot($cos, $sin) / count($line);
    };
    $columns = array_map(fn (int $x): float => $cloth->band(0)->crop($x, 0, 1, 600)->mean(), range(0, 1499));
    // Half of what the loops take: 0.5 of 0.045 of the light.
    expect($power($columns, 32.0))->toEqualWithDelta(200 * 0.045 * 0.5, 0.5)->and($power($columns, 29.0))->toBeLessThan(0.4)->and($power($columns, 41.6))->toBeLessThan(0.4);
    $rows = array_map(fn (int $y): float => $cloth->band(0)->crop(0, $y, 1500, 1)->mean(), range(0, 599));
    expect($power($rows, 41.6))->toEqualWithDelta(200 * 0.045 * 0.3, 0.5)->and($power($rows, 32.0))->toBeLessThan(0.4);
});

it('softens the edge of the white by half the spread of ink', function (float $ppi): void {
    $white = Press::of(PrintMethod::Transfer, Srgb::hex('#17181a'), $ppi)->underbase(plate_of('#b04a2c', 255)->alpha());
    $row = array_values((array) unpack('C*', $white->crop(0, 150, 150, 1)->toBytes()));
    // An edge under a bell rises as the bell's sum does: its steps have the bell's own deviation.
    $steps = array_map(fn (int $x): float => ($row[$x + 1] - $row[$x]) / 255, range(0, 148));
    $mean = array_sum(array_map(fn (float $step, int $x): float => $step * $x, $steps, array_keys($steps)));
    $variance = array_sum(array_map(fn (float $step, int $x): float => $step * ($x - $mean) ** 2, $steps, array_keys($steps)));
    expect(array_sum($steps))->toEqualWithDelta(1.0, 1e-9)->and(sqrt($variance))->toEqualWithDelta(0.0022 * $ppi / 2, 0.12 * 0.0022 * $ppi / 2);
})->with([1800.0, 3600.0]);
