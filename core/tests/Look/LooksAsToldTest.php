<?php

declare(strict_types=1);

use TallCrow\Effect\DrawsDots;
use TallCrow\Effect\Looks;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Tests\Fixtures;

/** Full ink of a grey that grows by a level with each column. */
function grey_ramp(int $height = 4): Image
{
    return Image::raw(str_repeat(implode('', array_map(fn (int $v): string => str_repeat(chr($v), 3)."\xff", range(0, 255))), $height), 256, $height, 4)->asColours();
}

function even_grey(int $level, int $width, int $height): Image
{
    return Image::raw(str_repeat(str_repeat(chr($level), 3)."\xff", $width * $height), $width, $height, 4)->asColours();
}

/** @param  array<string, mixed>  $values */
function look_of(string $kind, array $values, Image $ink, float $ppi = 300.0): Image
{
    $look = Fixtures::effect($kind, $values);
    assert($look instanceof Looks);

    return $look->look($ink, PrintGrid::ofInk($ppi, [0, 0]), new WholeInk(fn (): ?Image => null, fn (string $name, Closure $find): string => ''))->settled();
}

/**
 * Where a photocopy leaves ink, 0 or 255.
 *
 * @param  array<string, mixed>  $values
 */
function copied(array $values, Image $ink): Image
{
    $copier = Fixtures::effect('photocopied', $values);
    assert($copier instanceof DrawsDots);

    return $copier->dots($ink, PrintGrid::ofInk(300.0, [0, 0]))[0]->mask->settled();
}

// The tone is drawn out about its middle by the contrast and lifted by the brightness; what is darker than the threshold is ink.
it('copies what is darker than the threshold, after its brightness and contrast', function (float $brightness, float $contrast, float $threshold): void {
    $tone = fn (int $v): float => ($v / 255 - 0.5) * (1 + $contrast) + 0.5 + $brightness;
    $values = ['brightness' => $brightness, 'contrast' => $contrast, 'threshold' => $threshold, 'grain' => 0.0];
    $dark = array_values((array) unpack('C*', copied($values + ['parts' => 'dark'], grey_ramp(1))->toBytes()));
    $light = array_values((array) unpack('C*', copied($values + ['parts' => 'light'], grey_ramp(1))->toBytes()));
    $inked = 0;
    foreach (range(0, 255) as $v) {
        // Levels beside the threshold may be rounded to either side.
        if (abs($tone($v) - $threshold) > 0.006) {
            expect($dark[$v])->toBe($tone($v) < $threshold ? 255 : 0)->and($light[$v])->toBe(255 - $dark[$v]);
            $inked += $dark[$v] > 0 ? 1 : 0;
        }
    }
    expect($inked)->toBeGreaterThan(20)->toBeLessThan(235);
})->with([[0.0, 0.0, 0.5], [0.2, 0.6, 0.5], [-0.3, 0.6, 0.5], [0.0, 2.0, 0.7], [0.1, -0.5, 0.45]]);

// Grain is even from end to end of 0.7 times its strength: a tone that lies a share of that above the threshold is ink by so much less.
it('strews toner about the threshold, the wider the more grain', function (float $grain, int $level): void {
    $inked = copied(['brightness' => 0.0, 'contrast' => 0.0, 'threshold' => 0.5, 'grain' => $grain], even_grey($level, 600, 600))->mean() / 255;
    $true = min(1.0, max(0.0, 0.5 + (127.5 - $level) / ($grain * 0.7 * 255)));
    expect($inked)->toEqualWithDelta($true, 0.03);
})->with([[0.25, 127], [0.25, 140], [0.25, 110], [0.6, 160], [0.6, 90], [1.0, 200], [0.25, 190], [0.25, 60]]);

// A straight edge under a bell: 84 and 16 of a hundred lie a sigma to either side (Abramowitz and Stegun, table 26.1).
it('fades the edge of words over a bell of a quarter of the softness', function (float $softness, float $ppi): void {
    $width = 400;
    $ink = Image::raw(str_repeat(str_repeat("\xb0\x4a\x2c\xff", 200).str_repeat("\0\0\0\0", 200), 8), $width, 8, 4)->asColours();
    $row = array_values((array) unpack('C*', look_of('airbrushed', ['softness' => $softness, 'character' => 'edges'], $ink, $ppi)->alpha()->crop(0, 4, $width, 1)->toBytes()));
    $sigma = (int) round($softness / 4 * $ppi);
    foreach ([[-1, 0.8413], [1, 0.1587], [-2, 0.9772], [2, 0.0228]] as [$times, $share]) {
        $at = 200 + $times * $sigma;
        // Between two pixels lies the edge of the next.
        expect(($row[$at - 1] + $row[$at]) / 2 / 255)->toEqualWithDelta($share, 0.015);
    }
})->with([[0.2, 300.0], [0.4, 300.0], [0.4, 100.0], [0.8, 100.0]]);

it('lifts lights and deepens the middle by its character, and leaves even parts as smooth as they are', function (): void {
    $seen = fn (string $character, int $level): float => look_of('airbrushed', ['softness' => 0.05, 'character' => $character], even_grey($level, 60, 60))->crop(20, 20, 20, 20)->band(0)->mean();
    foreach ([40, 64, 128, 160, 191, 230] as $level) {
        expect($seen('smooth', $level))->toEqualWithDelta($level, 1.0);
        foreach (['glossy' => [0.07, 0.9], 'bold' => [0.12, 0.5]] as $character => [$steep, $lights]) {
            $v = $level / 255;
            expect($seen($character, $level))->toEqualWithDelta(min(255.0, 255 * ($v - $steep * sin(2 * M_PI * $v) + $lights * max(0.0, $v - 0.72) ** 1.4)), 1.6);
        }
    }
    expect($seen('bold', 64))->toBeLessThan($seen('glossy', 64) - 5);
});

it('smooths a face the more the softer, alike at any ppi', function (): void {
    mt_srand(8);
    $noise = fn (int $side, int $grain): Image => Image::raw(implode('', array_map(fn (): string => str_repeat(chr(128 + mt_rand(-9, 9)), 3)."\xff", range(1, $side * $side))), $side, $side, 4)->asColours()->zoomed($grain);
    $left = fn (float $softness, float $ppi, Image $ink): float => look_of('airbrushed', ['softness' => $softness, 'character' => 'smooth'], $ink, $ppi)->crop(60, 60, 120, 120)->band(0)->deviation();
    // Noise of three pixels at 300 ppi has the inches of one at 100.
    [$fine, $coarse] = [$noise(80, 3), $noise(240, 1)];
    expect($left(0.2, 300.0, $fine))->toBeLessThan(0.45 * $left(0.04, 300.0, $fine))->and($left(0.2, 300.0, $fine))->toEqualWithDelta($left(0.2, 100.0, $coarse), 0.35);
});

it('leaves full ink full and clear cloth clear, however little an edge is roughened', function (float $by, float $size): void {
    $ink = Image::raw(str_repeat(str_repeat("\0\0\0\0", 150).str_repeat("\xb0\x4a\x2c\xff", 150), 200), 300, 200, 4)->asColours();
    $rough = look_of('roughened', ['by' => $by, 'size' => $size], $ink)->alpha();
    $reach = (int) ceil(4 * $by * 300) + 3;
    expect($rough->crop(150 + $reach, 0, 150 - $reach, 200)->range())->toBe([255.0, 255.0])->and($rough->crop(0, 0, 150 - $reach, 200)->range())->toBe([0.0, 0.0]);
})->with([[0.002, 0.01], [0.003, 0.06], [0.005, 0.06], [0.02, 0.06]]);

it('takes away specks alone, or pinholes alone, as large as it is told', function (float $specks, float $pinholes): void {
    // On cloth specks of 3, 6 and 12 pixels; in ink pinholes of the same.
    $bytes = '';
    for ($y = 0; $y < 60; $y++) {
        for ($x = 0; $x < 200; $x++) {
            $isScrap = false;
            foreach ([[20, 3], [40, 6], [70, 12], [120, 3], [140, 6], [170, 12]] as [$left, $side]) {
                $isScrap = $isScrap || ($x >= $left && $x < $left + $side && $y >= 20 && $y < 20 + $side);
            }
            $bytes .= $isScrap !== ($x >= 100) ? "\xb0\x4a\x2c\xff" : "\0\0\0\0";
        }
    }
    $tidy = look_of('tidied', ['specks' => $specks, 'pinholes' => $pinholes], Image::raw($bytes, 200, 60, 4)->asColours()->settled())->alpha();
    $at = fn (int $x): float => $tidy->crop($x + 1, 21, 1, 1)->mean();
    foreach ([[20, 3], [40, 6], [70, 12]] as [$left, $side]) {
        expect($at($left))->toBe($side < $specks * 300 ? 0.0 : 255.0, "a speck of $side")->and($at($left + 100))->toBe($side < $pinholes * 300 ? 255.0 : 0.0, "a pinhole of $side");
    }
})->with([[0.015, 0.0], [0.0, 0.015], [0.03, 0.015], [0.0, 0.05], [0.05, 0.05]]);

it('stamps thinly in as much of the inside as it is told, and hardly along the edges', function (float $amount): void {
    $ink = Image::raw(str_repeat(str_repeat("\0\0\0\0", 100).str_repeat("\xb0\x4a\x2c\xff", 900), 900), 1000, 900, 4)->asColours()->settled();
    $stamped = look_of('stamped', ['amount' => $amount, 'size' => 0.08], $ink)->alpha();
    expect(1 - $stamped->crop(160, 60, 780, 780)->mean() / 255)->toEqualWithDelta($amount, 0.05)->and(1 - $stamped->crop(100, 60, 3, 780)->mean() / 255)->toBeLessThan(0.35 * $amount)
        ->and(Histogram::of($stamped->crop(0, 0, 95, 900))[0])->toBe(95 * 900);
})->with([0.15, 0.3, 0.6]);

it('stamps without haze: ink is there or missing, but for edges', function (float $amount, float $size): void {
    $disc = Image::raw(implode('', array_map(fn (int $at): string => hypot($at % 900 - 449.5, intdiv($at, 900) - 449.5) < 400 ? "\xb0\x4a\x2c\xff" : "\0\0\0\0", range(0, 900 * 900 - 1))), 900, 900, 4)->asColours()->settled();
    $stamped = look_of('stamped', ['amount' => $amount, 'size' => $size], $disc)->alpha()->settled();
    $partial = $stamped->isMore(12.0)->both($stamped->isLess(243.0))->settled();
    // Nowhere are nine pixels of a square half-transparent, and those that are lie along edges.
    expect(Morphology::eroded($partial)->range()[1])->toBe(0.0)->and($partial->mean() / 255)->toBeLessThan(0.4 * 0.02 / $size)
        ->and(1 - $stamped->area() / $disc->alpha()->area())->toEqualWithDelta($amount, 0.25 * $amount + 0.02);
})->with([[0.1, 0.08], [0.3, 0.03], [0.3, 0.08], [0.3, 0.5], [0.6, 0.2]]);

// A proof is the print seen from further away.
it('looks in a proof as the print does', function (string $kind, array $values, float $off): void {
    $disc = fn (int $side): Image => Image::raw(implode('', array_map(
        fn (int $at): string => hypot($at % $side - $side / 2 + 0.5, intdiv($at, $side) - $side / 2 + 0.5) < 0.4 * $side ? "\xb0\x4a\x2c\xff" : "\0\0\0\0", range(0, $side * $side - 1),
    )), $side, $side, 4)->asColours()->settled();
    $print = look_of($kind, $values, $disc(900))->alpha()->shrunk(5)->settled();
    $proof = look_of($kind, $values, $disc(900)->shrunkInk(5)->settled(), 60.0)->alpha();
    expect($proof->minus($print)->operation('abs')->mean())->toBeLessThan($off)->and($print->minus($disc(180)->alpha())->operation('abs')->mean())->toBeGreaterThan(3 * $off);
})->with([
    'stamped' => ['stamped', ['amount' => 0.4, 'size' => 0.08], 1.5], 'roughened' => ['roughened', ['by' => 0.05, 'size' => 0.2], 0.8], 'an airbrushed edge' => ['airbrushed', ['softness' => 0.4, 'character' => 'edges'], 0.8],
]);
