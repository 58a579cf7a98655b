<?php

declare(strict_types=1);

use TallCrow\Colour\Lab;
use TallCrow\Colour\Srgb;
use TallCrow\Look\Dots;
use TallCrow\Look\Grain;
use TallCrow\Look\PrintGrid;
use TallCrow\Raster\Grating;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

/** Patches of 100 px of given colours over a strip of a thousand other colours, so that the picture counts as one of many. */
function patches_among_many(array $hexes): Image
{
    $rows = '';
    foreach ($hexes as $hex) {
        $colour = Srgb::hex($hex);
        $rows .= str_repeat(str_repeat(chr($colour->red).chr($colour->green).chr($colour->blue)."\xff", 100), 100);
    }
    foreach (range(0, 9) as $row) {
        foreach (range(0, 99) as $column) {
            $rows .= chr(20 * $row + 30).chr(2 * $column + 20).chr(255 - 2 * $column)."\xff";
        }
    }

    return Image::raw($rows, 100, 100 * count($hexes) + 10, 4);
}

// The light that is seen of dots is the mean of the light of what lies there (Murray, Davies, 1936; Neugebauer, 1937).
it('keeps the tone of each colour of a picture of many', function (array $inks, array $hexes, string $bare): void {
    $printed = Fixtures::inInks(patches_among_many($hexes), array_map(Srgb::hex(...), $inks))->settled();
    foreach ($hexes as $i => $hex) {
        $light = [0.0, 0.0, 0.0];
        $pixels = str_split($printed->crop(0, 100 * $i, 100, 100)->toBytes(), 4);
        $seen = array_count_values(array_map(fn (string $pixel): string => ord($pixel[3]) > 127 ? '#'.bin2hex(substr($pixel, 0, 3)) : $bare, $pixels));
        foreach ($seen as $of => $times) {
            foreach (Srgb::hex($of)->toLinear() as $band => $part) {
                $light[$band] += $part * $times / count($pixels);
            }
        }
        // 3 in Lab for the model, and a hundred cells of ten pixels tell a tone to about one in Lab.
        expect(Lab::ofLinear(...$light)->difference(Srgb::hex($hex)->toLab()))->toBeLessThan(4.0);
    }
})->with([
    'black and white' => [['#000000', '#ffffff'], ['#2b2b2b', '#575757', '#808080', '#a9a9a9', '#d4d4d4', '#fafafa', '#060606'], '#ff00ff'],
    'black, rust, sand and white' => [['#101010', '#c8452c', '#e9c46a', '#f4f4f4'], ['#a08060', '#603020', '#d0a070', '#909090', '#e0c8a0', '#7a4434'], '#ff00ff'],
    'ink and rust on light cloth' => [['#1d2a44', '#c8452c'], ['#7d5a58', '#e3a79c', '#a5a9b3', '#5b3a44'], '#ffffff'],
]);

it('prints what is almost an ink in that ink alone, among many colours too', function (): void {
    $printed = Fixtures::inInks(patches_among_many(['#c8452c', '#c6462e', '#1d4e89']), [Srgb::hex('#c8452c'), Srgb::hex('#1d4e89')])->settled();
    foreach (['#c8452c', '#c8452c', '#1d4e89'] as $i => $hex) {
        expect(array_unique(array_map(fn (string $pixel): string => '#'.bin2hex(substr($pixel, 0, 3)), str_split($printed->crop(0, 100 * $i, 100, 100)->toBytes(), 4))))->toBe([$hex]);
    }
});

it('waves as the cosine does', function (float $perPixel, float $angle, float $across, float $down): void {
    $wave = array_values((array) unpack('g*', Grating::crossed(37, 23, [1201, 847], $perPixel, $angle, $across, $down)->toBytes()));
    [$cos, $sin] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
    foreach ([[0, 0], [36, 22], [17, 4], [5, 19]] as [$x, $y]) {
        [$u, $v] = [1201 + $x + 0.5, 847 + $y + 0.5];
        $wanted = $across * cos(2 * M_PI * $perPixel * ($u * $cos + $v * $sin)) + $down * cos(2 * M_PI * $perPixel * ($v * $cos - $u * $sin));
        expect($wave[37 * $y + $x])->toEqualWithDelta($wanted, 2e-5);
    }
})->with([[0.15, 0.0, 1.0, 1.0], [0.15, 22.5, 1.0, 0.4], [0.2, 45.0, 0.7, 1.3], [0.1, 75.0, 1.0, 0.0], [0.033, 135.0, -1.0, 1.0]]);

it('shows the same grain in any window, on whichever grid', function (float $ppi): void {
    $ink = Image::empty(120, 90, 4);
    $one = Grain::over($ink, 0.02, 4, PrintGrid::ofInk($ppi, [200, 301]))->settled();
    $other = Grain::over($ink, 0.02, 4, PrintGrid::ofInk($ppi, [237, 314]))->settled();
    $apart = $one->crop(37, 13, 83, 77)->minus($other->crop(0, 0, 83, 77))->operation('abs')->settled();
    expect($apart->range()[1])->toBeLessThanOrEqual(1.0)->and($one->deviation())->toBeGreaterThan(60.0);
})->with([300.0, 150.0, 180.0, 125.0, 224.0, 333.0]);

it('draws the dots of a proof so that it is the print averaged', function (float $ppi): void {
    $layers = [['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.6, 'height' => null], 'masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.9, 'height' => 0.9, 'feather' => 0.3]]]];
    foreach ([['kind' => 'halftone', 'lpi' => 30], ['kind' => 'halftone-inks', 'inks' => ['#101010', '#c8452c', '#f4f4f4'], 'lpi' => 30]] as $look) {
        $artwork = Fixtures::artwork([['effects' => [$look]] + $layers[0]]);
        $drawn = fn (float $at): Image => Fixtures::renderer()->picture($artwork, Frame::sheet($artwork->sheet, $at))->operation('premultiply')->settled();
        $apart = $drawn(300)->shrunk((int) (300 / $ppi))->minus($drawn($ppi))->operation('abs')->settled();
        expect($apart->mean())->toBeLessThan(0.5)->and($apart->isMore(24)->mean() / 255)->toBeLessThan(0.002);
    }
})->with([30.0, 50.0, 60.0, 75.0, 100.0]);
