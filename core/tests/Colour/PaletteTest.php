<?php

declare(strict_types=1);

use TallCrow\Colour\GimpPalette;
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

it('reads a GIMP palette and writes it as it was', function (): void {
    $text = "GIMP Palette\nName: Rock pool\nColumns: 8\n#\n 23  64  74\tDeep water\n243 234 215\tFoam\n";
    $swatches = GimpPalette::read($text);
    expect(array_map(fn (Swatch $s): string => $s->name.' '.$s->colour->toHex(), $swatches))->toBe(['Deep water #17404a', 'Foam #f3ead7'])
        ->and(GimpPalette::write('Rock pool', $swatches))->toBe($text);
    $loose = GimpPalette::read("\u{feff}GIMP Palette\r\n# note\r\n1 2 3\r\n 255\t0  0  Untitled\r\n\r\n");
    expect(array_map(fn (Swatch $s): string => $s->name, $loose))->toBe(['#010203', '#ff0000'])
        ->and(GimpPalette::read("GIMP Palette\n1 2 3 caf\xe9\n")[0]->name)->toBe('café');
});

it('says what is wrong with a palette, and where', function (string $text, string $says): void {
    expect(fn () => GimpPalette::read($text))->toThrow(PaletteRefused::class, $says);
})->with([
    ['', 'first line'], ["JASC-PAL\n", 'first line'], ["GIMP Palette\n\n1 2\n", 'Line 3'], ["GIMP Palette\n1 2 999 x\n", 'Line 2'],
    ["GIMP Palette\n".str_repeat("1 2 3 x\n", 300), 'more than 256'],
]);
