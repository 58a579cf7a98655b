<?php

declare(strict_types=1);

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;
use TallCrow\Render\BentArea;
use TallCrow\Render\BentAreas;
use TallCrow\Render\Frame;
use TallCrow\Render\Resampler;

// The share of each pixel that lies within the disc where it came from, counted at 16 by 16 places of it.
it('covers of each pixel what the bent shape does', function (Closure $back): void {
    $finer = 2;
    $side = 80 * $finer;
    $inside = fn (float $x, float $y): bool => hypot($x - $side / 2, $y - $side / 2) < 0.35 * $side;
    $share = function (float $left, float $top, float $pixel, Closure $inside): int {
        $in = 0;
        for ($i = 0; $i < 256; $i++) {
            $in += $inside($left + (($i & 15) + 0.5) / 16 * $pixel, $top + (($i >> 4) + 0.5) / 16 * $pixel) ? 1 : 0;
        }

        return (int) round($in * 255 / 256);
    };
    $bytes = '';
    for ($y = 0; $y < $side; $y++) {
        for ($x = 0; $x < $side; $x++) {
            $bytes .= "\x20\x40\x60".chr($share($x, $y, 1, $inside));
        }
    }
    $source = Image::raw($bytes, $side, $side, 4)->asColours()->settled();
    $drawn = Resampler::bent($source, $back, new Frame(1, 0, 0, 80, 80), new Box(0, 0, 80, 80), $finer)->alpha()->toBytes();
    [$edges, $off, $worst] = [0, 0, 0];
    for ($i = 0; $i < 80 * 80; $i++) {
        $true = $share($i % 80, intdiv($i, 80), 1, fn (float $x, float $y): bool => $inside(...$back($x, $y)));
        $error = abs(ord($drawn[$i]) - $true);
        if ($true > 0 && $true < 255) {
            [$edges, $off, $worst] = [$edges + 1, $off + $error, max($worst, $error)];
        } else {
            expect($error)->toBeLessThan(24);
        }
    }
    expect($edges)->toBeGreaterThan(100)->and($off / $edges)->toBeLessThan(6.0)->and($worst)->toBeLessThan(24);
})->with([
    'shifted' => [fn (float $x, float $y): array => [2 * $x + 0.77, 2 * $y - 0.31]],
    'waved' => [fn (float $x, float $y): array => [2 * $x, 2 * $y + 6 * sin($x / 9)]],
    'squeezed' => [fn (float $x, float $y): array => [80 + 5.2 * ($x - 40), 80 + 2.3 * ($y - 40)]],
    'slanted' => [fn (float $x, float $y): array => [2 * $x, 80 + 2 * ($y - 40) + 4.4 * ($x - 40)]],
]);

// Noise tells every pixel that was not looked at: of 108 or more, sixteen picked looks would be off by 14 levels in the mean.
it('takes the mean of all that a squeezed pixel spans', function (int $wide, int $high): void {
    $side = 480;
    mt_srand(11);
    $levels = array_map(fn (): int => mt_rand(0, 255), range(1, $side * $side));
    $source = Image::raw(implode('', array_map(fn (int $level): string => "\0\0\0".chr($level), $levels)), $side, $side, 4)->asColours()->settled();
    [$across, $down] = [intdiv($side, $wide), intdiv($side, $high)];
    $drawn = Resampler::bent($source, fn (float $x, float $y): array => [$x * $wide, $y * $high], new Frame(1, 0, 0, $across, $down), new Box(0, 0, $across, $down))->alpha()->toBytes();
    $off = 0;
    for ($j = 0; $j < $down; $j++) {
        for ($i = 0; $i < $across; $i++) {
            $sum = 0;
            for ($y = 0; $y < $high; $y++) {
                $sum += array_sum(array_slice($levels, ($j * $high + $y) * $side + $i * $wide, $wide));
            }
            $off += abs(ord($drawn[$j * $across + $i]) - $sum / ($wide * $high));
        }
    }
    expect($off / ($across * $down))->toBeLessThan(5.0);
})->with(['both ways alike' => [12, 12], 'one way more' => [16, 8], 'the other' => [10, 20]]);

it('neither breaks a thin line that it slants nor leaves steps along it', function (float $slant, bool $isAcross): void {
    // Two rows of ink, slanted until each row (or column) of the picture crosses them within a share of a pixel: their area there is 2 ÷ slant.
    $rows = array_map(fn (int $y): string => str_repeat($y === 29 || $y === 30 ? "\0\0\0\xff" : "\0\0\0\0", 60), range(0, 59));
    $source = Image::raw(implode('', $rows), 60, 60, 4)->asColours()->settled();
    $back = fn (float $x, float $y): array => $isAcross ? [$x, $y + $slant * ($x - 30)] : [$y, $x + $slant * ($y - 30)];
    $drawn = Resampler::bent($source, $back, new Frame(1, 0, 0, 60, 60), new Box(0, 0, 60, 60))->alpha();
    for ($at = 6; $at < 54; $at++) {
        $inked = ($isAcross ? $drawn->crop(0, $at, 60, 1) : $drawn->crop($at, 0, 1, 60))->mean() * 60 / 255;
        expect($inked)->toEqualWithDelta(2 / $slant, 0.2 * 2 / $slant);
    }
})->with([4.0, 9.0, 14.0])->with([true, false]);

// Of a picture with an alpha every look is weighed by it.
it('draws a picture that is opaque as it draws any other', function (Closure $back, Box $whole): void {
    $noise = '';
    mt_srand(5);
    for ($i = 0; $i < 500 * 400; $i++) {
        $noise .= chr(128 + intdiv($i % 500, 4)).chr(mt_rand(90, 160)).chr(intdiv($i, 1600))."\xff";
    }
    $window = new Frame(1, 0, 0, 512, 512);
    $source = Image::raw($noise, 500, 400, 4)->asColours()->settled();
    [$opaque, $weighed] = [Resampler::bent($source, $back, $window, $whole, isOpaque: true), Resampler::bent($source, $back, $window, $whole)];
    $off = fn (Image $one, Image $other): float => max(array_map(abs(...), $one->linear(1.0)->minus($other->linear(1.0))->range()));
    $solid = $opaque->alpha()->isMore(254.5)->settled();
    $within = fn (Image $image): Image => $solid->chosen($image->band(0, 3), Image::empty(512, 512, 3));
    expect($off($opaque->alpha(), $weighed->alpha()))->toBeLessThanOrEqual(1.0)
        // Beside its edge they are the edge's drawn out, and not weighed.
        ->and($off($within($opaque), $within($weighed)))->toBeLessThanOrEqual(4.0)
        ->and($solid->area())->toBeGreaterThan(60_000.0);
})->with([
    'shifted and turned' => [fn (float $x, float $y): array => [0.9 * ($x - 30.3) + 0.2 * ($y - 40.7), 0.9 * ($y - 60.2) - 0.2 * ($x - 30)], new Box(0, 0, 512, 512)],
    'waved' => [fn (float $x, float $y): array => [$x - 5.4, $y - 60.3 + 24 * sin($x / 60)], new Box(0, 0, 512, 512)],
    'squeezed aslant' => [fn (float $x, float $y): array => [2.6 * ($x - 150) + 0.4 * $y, 1.1 * $y - 60], new Box(0, 0, 512, 512)],
    'pinched' => [fn (float $x, float $y): array => [250 + ($x - 256) * hypot($x - 256, $y - 256) / 160, 200 + ($y - 256) * hypot($x - 256, $y - 256) / 160], new Box(0, 0, 512, 512)],
]);

it('follows a bend from pixel to pixel though it goes straight between points near to one another', function (float $high): void {
    // A ramp of eight levels a pixel about row 300: a level off is an eighth of a pixel.
    $bytes = implode('', array_map(fn (int $row): string => str_repeat(str_repeat(chr(max(0, min(255, 128 + 8 * ($row - 300)))), 3)."\xff", 640), range(0, 639)));
    $back = fn (float $x, float $y): array => [$x, $y + $high * sin($x / 90) - 20];
    $row = Resampler::bent(Image::raw($bytes, 640, 640, 4)->asColours()->settled(), $back, new Frame(1, 0, 0, 640, 640), new Box(0, 0, 640, 640))->crop(0, 320, 640, 1)->band(0)->toBytes();
    $seen = 0;
    for ($x = 2; $x < 638; $x++) {
        $level = 128 + 8 * ($back($x + 0.5, 320.5)[1] - 0.5 - 300);
        if ($level > 24 && $level < 232) {
            $seen++;
            expect(abs(ord($row[$x]) - $level))->toBeLessThan(1.3);
        }
    }
    expect($seen)->toBeGreaterThan(40);
})->with([4.0, 40.0, 120.0]);

it('computes the map closely only about the centre of a ring, and everywhere else as well as there', function (): void {
    // The angle about (500, 500) along x, the distance from it along y: a ring whose ends meet below.
    $back = fn (float $x, float $y): array => [160 * (M_PI - atan2($x - 500, $y - 500)) - 3, 500 - hypot($x - 500, $y - 500)];
    $areas = BentAreas::of($back, [1000, 500], new Box(0, 0, 1000, 1000), 1.0, 1);
    $window = new Frame(1, -100, -100, 1200, 1200);
    $parts = array_filter(array_map(fn (BentArea $area): array => [$area->step, $window->overlap($area->frame)], $areas), fn (array $part): bool => $part[1] !== null);
    $covered = array_sum(array_map(fn (array $part): int => $part[1]->width * $part[1]->height, $parts));
    $close = array_sum(array_map(fn (array $part): int => $part[0] < 16 ? $part[1]->width * $part[1]->height : 0, $parts));
    expect($covered)->toBe(1200 * 1200)->and($close)->toBeGreaterThan(0)->toBeLessThan(250_000);

    // At most eight levels a pixel. Row 630 crosses the borders of the areas.
    $level = fn (float $at): float => 128 + 100 * sin($at / 12.5);
    $bytes = '';
    for ($y = 0; $y < 500; $y++) {
        for ($x = 0; $x < 1000; $x++) {
            $bytes .= chr((int) round($level($x))).chr((int) round($level($y)))."\0\xff";
        }
    }
    $row = Resampler::bent(Image::raw($bytes, 1000, 500, 4)->asColours()->settled(), $back, $window, new Box(0, 0, 1000, 1000))->crop(0, 730, 1200, 1);
    [$across, $down] = [$row->band(0)->toBytes(), $row->band(1)->toBytes()];
    for ($x = 220; $x < 980; $x++) {
        [$fromX, $fromY] = $back($x - 100 + 0.5, 630.5);
        if ($fromX > 5 && $fromX < 990 && $fromY > 5) {
            expect(ord($across[$x]))->toEqualWithDelta($level($fromX - 0.5), 3.0)->and(ord($down[$x]))->toEqualWithDelta($level($fromY - 0.5), 3.0);
        }
    }
});

it('computes the map closely only along the two sides at which it has a kink', function (bool $isTall): void {
    // Swollen by half along a parabola that ends 1000 pixels on either side of the middle, as a bulge is.
    $size = fn (float $at): float => 1.5 - 0.5 * min(1.0, (($at - 1500) / 1000) ** 2);
    $back = fn (float $x, float $y): array => $isTall ? [1500 + ($x - 1500) / $size($y), $y] : [$x, 1500 + ($y - 1500) / $size($x)];
    $box = $isTall ? new Box(100, 500, 2900, 2500) : new Box(500, 100, 2500, 2900);
    $window = new Frame(1, 0, 0, 3000, 3000);
    [$covered, $close] = [0, 0];
    foreach (BentAreas::of($back, [3000, 3000], $box, 1.0, 2) as $area) {
        $part = $window->overlap($area->frame);
        $covered += $part === null ? 0 : $part->width * $part->height;
        $close += $part === null || $area->step >= 16 ? 0 : $part->width * $part->height;
    }
    // Computed so closely throughout, a drawing of 12 in took twice as long.
    expect($covered)->toBe(3000 * 3000)->and($close)->toBeLessThan(0.35 * 3000 * 3000);
})->with([false, true]);

// The library reads places to a 128th of a pixel; single precision must not round them otherwise in a part, which counts from another pixel.
it('looks up the same places in a part as in the whole', function (float $off): void {
    mt_srand(7);
    $bytes = implode('', array_map(fn (): string => "\0\0\0".(mt_rand(0, 1) === 1 ? "\xff" : "\0"), range(1, 1400 * 8)));
    $source = Image::raw($bytes, 1400, 8, 4)->asColours()->settled();
    $draw = fn (int $left, int $width): string => Resampler::bent($source, fn (float $x, float $y): array => [$x + 73 / 128 + $off, $y], new Frame(1, $left, 0, $width, 8), new Box(0, 0, 1300, 8))->alpha()->crop(0, 4, $width, 1)->toBytes();
    $whole = $draw(0, 1300);
    foreach ([[200, 700], [400, 300], [900, 300]] as [$left, $width]) {
        expect($draw($left, $width))->toBe(substr($whole, $left, $width));
    }
})->with([-3e-5, -1.2e-5, 1.2e-5, 3e-5, 6e-5]);
