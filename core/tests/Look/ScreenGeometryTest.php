<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Look\Dots;
use TallCrow\Look\Grain;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\Screen;
use TallCrow\Raster\Grating;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\ResizeKernel;
use TallCrow\Tests\Fixtures;

/** An even strength of 0 to 255. */
function even(int $level, int $width = 600, int $height = 600): Image
{
    return Image::empty($width, $height, 1)->linearByte(1, $level)->settled();
}

/** How many times ink begins along a row, or down a column. */
function beginnings(Image $cut, bool $down = false): int
{
    $line = $down ? $cut->crop(2, 0, 1, $cut->height()) : $cut->crop(0, 2, $cut->width(), 1);

    return (int) preg_match_all('/\x00\xff/', $line->toBytes());
}

// Plain geometry: lines at an angle θ are met lpi · |sin θ| times in an inch across, and lpi · |cos θ| times down.
it('turns its lines by the angle asked for', function (float $angle): void {
    $cut = (new Screen(30, $angle, Dots::Line))->cut(even(128, 1200, 1200), PrintGrid::ofInk(300, [0, 0]));
    expect(beginnings($cut))->toEqualWithDelta(4 * 30 * abs(sin(deg2rad($angle))), 1.1)
        ->and(beginnings($cut, down: true))->toEqualWithDelta(4 * 30 * abs(cos(deg2rad($angle))), 1.1);
})->with([30.0, 45.0, 60.0, 90.0, 15.0]);

it('is as fine at any ppi', function (float $ppi): void {
    $cut = (new Screen(20, 90, Dots::Line))->cut(even(128, (int) (4 * $ppi), 6), PrintGrid::ofInk($ppi, [0, 0]));
    expect(beginnings($cut))->toEqualWithDelta(80, 1);
})->with([150.0, 300.0, 600.0]);

it('grows dots from the middle of their cells', function (Dots $dots): void {
    // A cell of 40 × 40 px, whose middle lies at the corner of the sheet.
    $small = (new Screen(7.5, 0, $dots))->cut(even(20, 40, 40), PrintGrid::ofInk(300, [0, 0]));
    $large = (new Screen(7.5, 0, $dots))->cut(even(230, 40, 40), PrintGrid::ofInk(300, [0, 0]));
    expect(ord($small->crop(0, 0, 1, 1)->toBytes()))->toBe(255)->and(ord($small->crop(20, 20, 1, 1)->toBytes()))->toBe(0)
        ->and(ord($large->crop(20, 20, 1, 1)->toBytes()))->toBe(0)->and(ord($large->crop(10, 8, 1, 1)->toBytes()))->toBe(255);
    // What a small dot inks a larger one inks too.
    expect($small->both($large->inverted())->mean())->toBe(0.0);
})->with(Dots::cases());

it('ranks places of a cell as its dots are shaped', function (): void {
    foreach (Dots::cases() as $dots) {
        [$across, $down] = $dots->weights();
        foreach ([[0.0, 0.0], [0.25, 0.0], [0.1, 0.3], [0.5, 0.5], [0.0, 0.5]] as [$u, $v]) {
            // The heights that are ranked and the waves that are drawn are one and the same sum.
            expect($dots->height($u, $v))->toEqualWithDelta($across * cos(2 * M_PI * $u) + $down * cos(2 * M_PI * $v), 1e-12);
        }
        expect($dots->height(0, 0))->toBeGreaterThan($dots->height(0.5, 0.5))->and(abs($across) + abs($down))->toBeLessThanOrEqual(2.0);
    }
    expect(Dots::Round->height(0.2, 0.1))->toBe(Dots::Round->height(0.1, 0.2))
        ->and(Dots::Ellipse->height(0.2, 0.0))->toBeLessThan(Dots::Ellipse->height(0.0, 0.2))
        ->and(Dots::Line->height(0.4, 0.1))->toBe(Dots::Line->height(0.0, 0.1));
});

it('adds two waves at right angles, counted from the corner of the sheet', function (): void {
    $waves = Grating::crossed(24, 16, [5, 9], 1 / 12, 30, 1.3, 0.7);
    $found = array_values((array) unpack('g*', $waves->toBytes()));
    for ($y = 0; $y < 16; $y++) {
        for ($x = 0; $x < 24; $x++) {
            [$px, $py] = [$x + 5.5, $y + 9.5];
            $u = ($px * cos(deg2rad(30)) + $py * sin(deg2rad(30))) / 12;
            $v = (-$px * sin(deg2rad(30)) + $py * cos(deg2rad(30))) / 12;
            expect($found[$y * 24 + $x])->toEqualWithDelta(1.3 * cos(2 * M_PI * $u) + 0.7 * cos(2 * M_PI * $v), 1e-4);
        }
    }
});

/** A flat picture of one colour, all of it ink. */
function flatOf(Srgb $colour, int $side = 400): Image
{
    return Image::flat($colour, Image::empty($side, $side, 1)->inverted())->settled();
}

/**
 * @param  list<Srgb>  $inks
 * @return array<string, float> share of the picture by ink; "none" is bare
 */
function printed(Srgb $of, array $inks): array
{
    $bytes = Fixtures::inInks(flatOf($of), $inks)->toBytes();
    $found = [];
    foreach (str_split($bytes, 4) as $pixel) {
        $name = ord($pixel[3]) === 0 ? 'none' : sprintf('#%02x%02x%02x', ord($pixel[0]), ord($pixel[1]), ord($pixel[2]));
        $found[$name] = ($found[$name] ?? 0) + 1;
    }

    return array_map(fn (int $count): float => $count / (400 * 400), $found);
}

// One ink: its share is how dark the picture is for a dark ink, how light for a light one.
it('prints one dark ink by darkness, and one light ink by light', function (string $grey, float $light): void {
    $black = printed(Srgb::hex($grey), [Srgb::hex('#101010')]);
    $white = printed(Srgb::hex($grey), [Srgb::hex('#f4f4f4')]);
    expect($white['#f4f4f4'] ?? 0.0)->toEqualWithDelta($light, 0.02)->and($black['#101010'] ?? 0.0)->toEqualWithDelta(1 - $light, 0.02)
        ->and(($black['#101010'] ?? 0.0) + ($black['none'] ?? 0.0))->toEqualWithDelta(1.0, 1e-9);
})->with([['#000000', 0.0], ['#ffffff', 1.0]]);

it('prints a colour that is one of the inks in that ink alone', function (): void {
    $inks = [Srgb::hex('#c8452c'), Srgb::hex('#1d4e89'), Srgb::hex('#e9c46a')];
    foreach ($inks as $ink) {
        expect(printed($ink, $inks)[$ink->toHex()] ?? 0.0)->toBeGreaterThan(0.97);
    }
});

it('leaves what has no ink bare, whatever the inks', function (): void {
    $clear = Image::empty(200, 200, 4);
    expect(Fixtures::inInks($clear, [Srgb::hex('#101010')])->alpha()->mean())->toBe(0.0)
        ->and(Fixtures::inInks($clear, [Srgb::hex('#101010'), Srgb::hex('#f4f4f4')])->alpha()->mean())->toBe(0.0);
});

it('lays a grain that stays on the sheet, is the same for one seed, and has every level as often', function (): void {
    $ink = Image::empty(300, 200, 4);
    $grain = fn (int $seed, array $at): Image => Grain::over($ink, 0.01, $seed, PrintGrid::ofInk(300, $at))->settled();
    expect($grain(5, [40, 60])->toBytes())->toBe($grain(5, [40, 60])->toBytes())->not->toBe($grain(6, [40, 60])->toBytes());
    // A window that lies 30 px further shows the same grain 30 px earlier.
    expect($grain(5, [70, 60])->crop(0, 0, 200, 200)->toBytes())->toBe($grain(5, [40, 60])->crop(30, 0, 200, 200)->toBytes());
    $levels = Histogram::of(Grain::over(Image::empty(1024, 1024, 4), 0.01, 5, PrintGrid::ofInk(300, [0, 0])));
    foreach ([0, 64, 128, 192] as $from) {
        expect(array_sum(array_slice($levels, $from, 64)) / 1024 ** 2)->toEqualWithDelta(0.25, 0.02);
    }
});

// The reference is the library's own area average and enlargement of the print's grain; two levels of it are the rounding of either.
it('lays the same grain at any ppi', function (float $ppi): void {
    $side = (int) round(2 * $ppi);
    $print = Grain::over(Image::empty(600, 600, 4), 0.03, 5, PrintGrid::ofInk(300, [300, 900]))->linear(1.0);
    $same = $print->operation('resize', [$side / 600], ['kernel' => ResizeKernel::Linear, 'gap' => 0.0])->crop(4, 4, $side - 8, $side - 8);
    $here = Grain::over(Image::empty($side, $side, 4), 0.03, 5, PrintGrid::ofInk($ppi, [(int) round($ppi), (int) round(3 * $ppi)]))->crop(4, 4, $side - 8, $side - 8);
    $apart = $here->minus($same)->operation('abs')->settled();
    expect($apart->mean())->toBeLessThan(2.5)->and($here->settled()->deviation())->toBeGreaterThan(68.0);
})->with([75.0, 100.0, 110.0, 120.0, 150.0, 180.0, 200.0, 240.0]);

// The seen mean is the mean of the light (linear sRGB) over many dots, bare parts as the cloth that the inks are for.
it('keeps the tone of a colour in several inks as well as the inks can', function (array $hexes, string $of, ?string $bare, float $most): void {
    $inks = array_map(Srgb::hex(...), $hexes);
    $light = [0.0, 0.0, 0.0];
    foreach (printed(Srgb::hex($of), $inks) as $name => $share) {
        foreach (Srgb::hex($name === 'none' ? (string) $bare : $name)->toLinear() as $i => $part) {
            $light[$i] += $share * $part;
        }
    }
    expect(TallCrow\Colour\Lab::ofLinear(...$light)->difference(Srgb::hex($of)->toLab()))->toBeLessThan($most);
})->with([
    'greys in black and white' => [['#000000', '#ffffff'], '#4d4d4d', null, 3.0], [['#000000', '#ffffff'], '#101010', null, 3.0], [['#000000', '#ffffff'], '#b0b0b0', null, 3.0], [['#000000', '#ffffff'], '#e8e8e8', null, 3.0],
    'white in black and red' => [['#000000', '#d02020'], '#ffffff', '#ffffff', 1.0], [['#000000', '#d02020'], '#808080', '#ffffff', 3.0], [['#000000', '#d02020'], '#e07070', '#ffffff', 3.0],
    'four inks' => [['#101010', '#c8452c', '#e9c46a', '#f4f4f4'], '#a08060', null, 3.0], [['#101010', '#c8452c', '#e9c46a', '#f4f4f4'], '#603020', null, 3.0],
    'two light inks on black' => [['#ffffff', '#ffd040'], '#6a5c3c', '#000000', 3.0],
]);

it('lays a grain that no shift within a sheet brings back', function (int $shift): void {
    $levels = array_values((array) unpack('C*', Grain::over(Image::empty(3000, 80, 4), 0.01, 5, PrintGrid::ofInk(300, [0, 0]))->toBytes()));
    $squares = $products = $count = 0;
    for ($y = 0; $y < 80; $y += 4) {
        for ($x = 0; $x + $shift < 3000; $x += 3) {
            [$one, $other] = [$levels[$y * 3000 + $x] - 127.5, $levels[$y * 3000 + $x + $shift] - 127.5];
            $products += $one * $other;
            $squares += $one * $one;
            $count++;
        }
    }
    expect($count)->toBeGreaterThan(1000)->and($products / $squares)->toBeLessThan(0.33)->toBeGreaterThan(-0.2);
})->with([510, 570, 630, 690, 1020, 1140, 2400]);
