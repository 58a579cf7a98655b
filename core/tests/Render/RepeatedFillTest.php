<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

/** A plate of 11 in on a sheet of 12 in, in one fill. @param  array<string, mixed>  $fill */
function plate_filled(array $fill): TallCrow\Artwork\Artwork
{
    $plate = ['id' => 'plate', 'source' => ['kind' => 'shape', 'shape' => 'rectangle'], 'placement' => ['x' => 6, 'y' => 6, 'width' => 11, 'height' => 11], 'effects' => [$fill]];

    return Fixtures::artwork([$plate], ['sheet' => ['width' => 3600, 'height' => 3600, 'ppi' => 300]]);
}

// A copy's place is arithmetic: the middle of the plate and a whole number of widths beside it.
it('lays every copy of a picture where it belongs, near and far, in proofs as in print', function (float $ppi, float $scale): void {
    $folder = Fixtures::temporary('repeated');
    $mark = Image::flat(Srgb::hex('#000000'), Image::empty(40, 40, 1)->inverted())->embed(60, 30, 160, 100);
    ImageFile::writePng(Image::flat(Srgb::hex('#ffffff'), Image::empty(160, 100, 1)->inverted())->insert($mark->crop(60, 30, 40, 40), 60, 30), "$folder/mark.png", 1);
    $artwork = plate_filled(['kind' => 'picture', 'file' => 'mark.png', 'scale' => $scale, 'x' => 0.21, 'y' => -0.13]);
    // It just covers the plate at a scale of 1: 11 in high.
    [$width, $height] = [11 * 1.6 * $scale, 11 * $scale];
    $renderer = Fixtures::renderer(Fixtures::shelf($folder));
    // As far as the whole copy lies on the plate.
    $far = [(int) floor(5.2 / $width - 0.5), (int) floor(5.3 / $height - 0.5)];
    foreach ([[-$far[0], -$far[1]], [$far[0], -$far[1]], [0, $far[1]], [1, 0]] as [$column, $row]) {
        [$x, $y] = [6.21 + $column * $width, 5.87 + $row * $height];
        $window = new Frame($ppi, (int) floor(($x - $width / 2) * $ppi), (int) floor(($y - $height / 2) * $ppi), (int) ceil($width * $ppi), (int) ceil($height * $ppi));
        $bytes = $renderer->picture($artwork, $window)->band(0, 1)->toBytes();
        [$sum, $atX, $atY] = [0.0, 0.0, 0.0];
        for ($i = 0; $i < strlen($bytes); $i++) {
            $dark = 255 - ord($bytes[$i]);
            [$sum, $atX, $atY] = [$sum + $dark, $atX + $dark * ($i % $window->width + 0.5), $atY + $dark * (intdiv($i, $window->width) + 0.5)];
        }
        expect(($window->left + $atX / $sum) / $ppi)->toEqualWithDelta($x, 0.1 / $ppi)->and(($window->top + $atY / $sum) / $ppi)->toEqualWithDelta($y, 0.1 / $ppi);
    }
})->with([[60.0, 0.1037], [75.0, 0.1037], [300.0, 0.1037], [60.0, 0.147], [300.0, 0.147]]);

it('lets no cloth show between copies of an opaque picture, enlarged or not', function (int $side, float $scale, float $ppi): void {
    $folder = Fixtures::temporary('seams');
    ImageFile::writePng(Image::flat(Srgb::hex('#b04a2c'), Image::empty($side, $side, 1)->inverted()), "$folder/plain.png", 1);
    $drawn = Fixtures::renderer(Fixtures::shelf($folder))->picture(plate_filled(['kind' => 'picture', 'file' => 'plain.png', 'scale' => $scale]), new Frame($ppi, (int) (3 * $ppi), (int) (3 * $ppi), (int) (3 * $ppi), (int) (3 * $ppi)));
    expect($drawn->alpha()->settled()->range()[0])->toBe(255.0);
})->with([[80, 0.1037, 300.0], [80, 0.147, 60.0], [80, 0.147, 300.0], [900, 0.147, 300.0]]);

it('shows a small paper as it is printed, also far from where it begins', function (float $ppi, float $scale): void {
    $artwork = plate_filled(['kind' => 'paper', 'paper' => 'gingham', 'colours' => ['#102040', '#ffffff'], 'scale' => $scale]);
    $by = (int) (300 / $ppi);
    $window = new Frame($ppi, (int) (10.4 * $ppi), (int) (10.4 * $ppi), (int) $ppi, (int) $ppi);
    $proof = Fixtures::renderer()->picture($artwork, $window);
    $print = Fixtures::renderer()->picture($artwork, $window->finer($by))->shrunk($by);
    $off = $proof->band(0, 1)->linear(1.0)->minus($print->band(0, 1)->linear(1.0))->settled();
    // In the root mean square 8 to 11 levels come of soft edges; of tiles that drift by some pixels, 99.
    expect($off->multiplied($off)->settled()->mean() ** 0.5)->toBeLessThan(15.0);
})->with([[75.0, 0.1125], [75.0, 0.1375], [60.0, 0.1125], [100.0, 0.1125]]);
