<?php

declare(strict_types=1);

use TallCrow\Colour\GplPalette;
use TallCrow\Colour\Palette;
use TallCrow\Colour\PaletteRefused;
use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;

/** @param  array<string, int>  $of  pixels of each colour */
function pixels_of(array $of): string
{
    $bytes = '';
    foreach ($of as $hex => $many) {
        $colour = Srgb::hex($hex);
        $bytes .= str_repeat(chr($colour->red).chr($colour->green).chr($colour->blue), $many);
    }

    return $bytes;
}

it('finds the colours that a picture has, with their shares', function (): void {
    $palette = Palette::of(pixels_of(['#b04a2c' => 500, '#f3ead7' => 300, '#1d2740' => 200]), 3);
    expect(array_map(fn (Swatch $s): string => $s->colour->toHex(), $palette))->toBe(['#b04a2c', '#f3ead7', '#1d2740'])
        ->and(array_map(fn (Swatch $s): float => $s->share, $palette))->toBe([0.5, 0.3, 0.2]);
});

it('groups shades that lie close in Lab', function (): void {
    $palette = Palette::of(pixels_of(['#b04a2c' => 300, '#b24c2e' => 100, '#ad4829' => 100, '#f3ead7' => 200, '#f1e8d5' => 100]), 2);
    expect($palette)->toHaveCount(2)->and($palette[0]->share)->toEqualWithDelta(0.625, 1e-9)
        ->and($palette[0]->colour->toLab()->difference(Srgb::hex('#b04a2c')->toLab()))->toBeLessThan(1.0)
        ->and($palette[1]->colour->toLab()->difference(Srgb::hex('#f2e9d6')->toLab()))->toBeLessThan(1.0);
});

it('answers no more colours than there are, and the same each time', function (): void {
    expect(Palette::of(pixels_of(['#102030' => 9]), 8))->toHaveCount(1)->and(Palette::of('', 4))->toBe([]);
    $many = '';
    for ($i = 0; $i < 4000; $i++) {
        $many .= chr($i * 7 % 256).chr($i * 13 % 256).chr($i * 29 % 256);
    }
    expect(Palette::of($many, 12))->toEqual(Palette::of($many, 12))->toHaveCount(12);
});

it('takes no stray pixel for a colour of the picture', function (): void {
    $found = fn (array $of, int $count): array => array_map(fn (Swatch $s): string => $s->colour->toHex(), Palette::of(pixels_of($of), $count));
    // One green pixel lies further off than the second grey, which has many.
    expect($found(['#404040' => 900, '#f0f0f0' => 700, '#00ff00' => 1], 2)[1])->toBe('#f0f0f0')
        // Eight are enough, and more than that count no more.
        ->and($found(['#404040' => 900, '#f0f0f0' => 700, '#00ff00' => 8], 2)[1])->toBe('#00ff00');
});

it('answers the colour of flat art as it is, whatever its soft edges are mixed to', function (): void {
    // Rust on oat: 40 steps between them, each as the edge of a letter has it.
    [$rust, $oat] = [[0xB0, 0x4A, 0x2C], [0xF3, 0xEA, 0xD7]];
    $bytes = str_repeat(implode('', array_map(chr(...), $rust)), 600).str_repeat(implode('', array_map(chr(...), $oat)), 900);
    foreach (range(1, 40) as $step) {
        $bytes .= str_repeat(implode('', array_map(fn (int $one, int $other): string => chr((int) round($one + ($other - $one) * $step / 41)), $rust, $oat)), 15);
    }
    $hex = array_map(fn (Swatch $s): string => $s->colour->toHex(), Palette::of($bytes, 2));
    expect($hex)->toBe(['#f3ead7', '#b04a2c']);
});

it('takes a colour with grain for one colour, and its middle', function (): void {
    mt_srand(3);
    // 128 lies at the border of two steps of five bits: half of the grain falls to either side.
    $bytes = '';
    for ($i = 0; $i < 3000; $i++) {
        $bytes .= chr(128 + mt_rand(-3, 3)).chr(64 + mt_rand(-3, 3)).chr(96 + mt_rand(-3, 3));
    }
    $found = Palette::of($bytes.str_repeat("\xff\xff\xff", 500), 2)[0]->colour;
    expect($found->red)->toEqualWithDelta(128, 1)->and($found->green)->toEqualWithDelta(64, 1)->and($found->blue)->toEqualWithDelta(96, 1);
});

it('answers the mean where a fifth of a group is not of one colour, and that colour where it is', function (): void {
    // Greys far enough apart that each falls into a step of its own, 100 pixels each; one of them has more.
    $greys = fn (int $more): string => implode('', array_map(fn (int $level): string => str_repeat(str_repeat(chr($level), 3), $level === 100 ? $more : 100), range(60, 140, 10)));
    $mean = fn (int $more): float => array_sum(array_map(fn (int $level): int => $level * ($level === 100 ? $more : 100), range(60, 140, 10))) / (800 + $more);
    // 100 stands at the mean as well: shift the group by pixels that are dark.
    $dark = str_repeat(str_repeat(chr(60), 3), 90);
    expect(Palette::of($greys(199).$dark, 1)[0]->colour->red)->toBeLessThan(99)->and(Palette::of($greys(260).$dark, 1)[0]->colour->red)->toBe(100)
        ->and($mean(100))->toBe(100.0);
});

it('answers the mean of each group, and each pixel in the group whose colour it is nearest', function (): void {
    expect(Palette::of(pixels_of(['#0a0a0a' => 1, '#0b0b0b' => 3]), 1)[0]->colour->toHex())->toBe('#0b0b0b')
        ->and(Palette::of(pixels_of(['#0a0a0a' => 3, '#0b0b0b' => 1]), 1)[0]->colour->toHex())->toBe('#0a0a0a');
    mt_srand(5);
    $bytes = '';
    foreach ([[60, 60, 60, 500], [120, 70, 50, 900], [200, 180, 90, 1100], [70, 130, 160, 1500], [220, 220, 215, 2000]] as [$r, $g, $b, $many]) {
        for ($i = 0; $i < $many; $i++) {
            $bytes .= chr($r + mt_rand(-30, 30)).chr($g + mt_rand(-30, 30)).chr($b + mt_rand(-30, 30));
        }
    }
    $palette = Palette::of($bytes, 5);
    $labs = array_map(fn (Swatch $s): array => array_values((array) $s->colour->toLab()), $palette);
    $sums = array_fill(0, 5, [0, 0, 0, 0]);
    foreach (str_split($bytes, 3) as $pixel) {
        $rgb = array_map(ord(...), str_split($pixel));
        $lab = array_values((array) Srgb::of(...$rgb)->toLab());
        $far = array_map(fn (array $to): float => array_sum(array_map(fn (float $a, float $b): float => ($a - $b) ** 2, $lab, $to)), $labs);
        $to = array_keys($far, min($far))[0];
        $sums[$to] = array_map(fn (int|float $a, int $b): int => (int) $a + $b, $sums[$to], [...$rgb, 1]);
    }
    // k-means has settled: the groups that its colours make are the groups that it made, but for what twelve rounds and steps of colour leave.
    foreach ($palette as $i => $swatch) {
        [$r, $g, $b, $many] = $sums[$i];
        expect($swatch->share)->toEqualWithDelta($many / 6000, 0.02)->and($swatch->colour->red)->toEqualWithDelta($r / $many, 5)
            ->and($swatch->colour->green)->toEqualWithDelta($g / $many, 5)->and($swatch->colour->blue)->toEqualWithDelta($b / $many, 5);
    }
    expect(array_sum(array_column($palette, 'share')))->toEqualWithDelta(1.0, 1e-9)->and($palette[0]->share)->toBeGreaterThanOrEqual($palette[4]->share);
});

it('reads a .gpl palette and writes it as it was', function (): void {
    $text = "GIMP Palette\nName: Rock pool\nColumns: 8\n#\n 23  64  74\tDeep water\n243 234 215\tFoam\n";
    $swatches = GplPalette::read($text);
    expect(array_map(fn (Swatch $s): string => $s->name.' '.$s->colour->toHex(), $swatches))->toBe(['Deep water #17404a', 'Foam #f3ead7'])
        ->and(GplPalette::write('Rock pool', $swatches))->toBe($text);
    expect(GplPalette::read("GIMP Palette\n# a note\n1 2 3 first\n# another\n4 5 6 second\n"))->toHaveCount(2);
    $loose = GplPalette::read("\u{feff}GIMP Palette\r\n# note\r\n1 2 3\r\n 255\t0  0  Untitled\r\n\r\n");
    expect(array_map(fn (Swatch $s): string => $s->name, $loose))->toBe(['#010203', '#ff0000'])
        ->and(GplPalette::read("GIMP Palette\n1 2 3 caf\xe9\n")[0]->name)->toBe('café');
});

it('says what is wrong with a palette, and where', function (string $text, string $says): void {
    expect(fn () => GplPalette::read($text))->toThrow(PaletteRefused::class, $says);
})->with([
    ['', 'first line'], ["Palette\n", 'first line'], ["GIMP Palette\n\n1 2\n", 'Line 3'], ["GIMP Palette\n1 2 999 x\n", 'Line 2'],
    ["GIMP Palette\n".str_repeat("1 2 3 x\n", 300), 'more than 256'],
]);
