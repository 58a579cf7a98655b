<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;

/** A row of pixels. */
function row_of(string ...$colours): Image
{
    return Image::raw(implode('', array_map(fn (string $hex): string => hex2bin($hex)."\xff", $colours)), count($colours), 1, 4);
}

/** @return list<int> */
function levels_of(Image $band): array
{
    return array_values(array_map(ord(...), str_split($band->toBytes())));
}

it('gives a mixture of two colours to the one that it holds more of', function (): void {
    $colours = array_map(Srgb::hex(...), ['#000000', '#ff8000', '#ffffff']);
    // In Lab the middle of black and white lies elsewhere: pictures are mixed in sRGB.
    expect(levels_of(ColourKeys::of(row_of('000000', 'ff8000', 'ffffff'))->mostOf($colours)))->toBe([0, 1, 2])
        ->and(levels_of(ColourKeys::of(row_of('783c00', '884400'))->mostOf($colours)))->toBe([0, 1])
        ->and(levels_of(ColourKeys::of(row_of('787878', '888888'))->mostOf([$colours[0], $colours[2]])))->toBe([0, 1]);
});

it('tells how far each pixel is from each colour, in parts of the most that two of them are apart', function (): void {
    $bands = ColourKeys::of(row_of('000000', 'ffffff', '808080'))->apart(array_map(Srgb::hex(...), ['#000000', '#ffffff']));
    expect($bands)->toHaveCount(2);
    // A step of colour is taken by its middle: black by (4, 2, 4), white by (252, 254, 252), grey by (132, 130, 132). Black and white are 441.67 apart.
    foreach ([[2, 126, 65], [125, 1, 62]] as $i => $far) {
        expect(levels_of($bands[$i]))->toBe($far);
    }
    // What is further off than any two are from one another stays within a byte's half.
    expect(max(levels_of(ColourKeys::of(row_of('0000ff', 'ffff00'))->apart(array_map(Srgb::hex(...), ['#808080', '#909090']))[0])))->toBe(127)
        ->and(levels_of(ColourKeys::of(row_of('808080'))->apart([Srgb::hex('#808080')])[0])[0])->toBeGreaterThan(100);
});

it('answers the Lab of CIE 15 for sRGB', function (): void {
    // From the published matrix of IEC 61966-2-1 and the white of D65: red, mid grey, white.
    $labs = array_chunk(array_values((array) unpack('g*', ColourBands::labs(row_of('ff0000', '777777', 'ffffff')->band(0, 3))->toBytes())), 3);
    foreach ([[53.24, 80.09, 67.20], [50.03, 0.0, 0.0], [100.0, 0.0, 0.0]] as $i => $lab) {
        expect($labs[$i])->toEqualWithDelta($lab, 0.05);
    }
});

it('multiplies colours as vectors', function (): void {
    $one = Image::floats(pack('g*', 1.0, 2.0, 3.0, -1.0, 0.5, 4.0), 2, 1, 3);
    $other = Image::floats(pack('g*', 4.0, 5.0, 6.0, 2.0, 2.0, -1.0), 2, 1, 3);
    // 1·4 + 2·5 + 3·6 and -1·2 + 0.5·2 - 4·1.
    expect(ColourBands::product($one, $other)->range())->toEqualWithDelta([-5.0, 32.0], 1e-6);
});
