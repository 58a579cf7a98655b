<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

/**
 * A picture of 200 × 100 px whose pixels are all chance, on a sheet of 3 × 4 in.
 *
 * @param  array<string, mixed>  $placement
 */
function chance_picture(string $folder, array $placement): Artwork
{
    $file = "$folder/chance.png";
    if (! is_file($file)) {
        Fixtures::run(['convert', '-size', '200x100', 'xc:gray', '-seed', '11', '+noise', 'Random', "PNG24:$file"]);
    }

    return Fixtures::artwork([['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'chance.png'], 'placement' => $placement + ['y' => 2, 'width' => 200 / 300, 'height' => null]]]);
}

/** Of the sheet what lies about its middle, so many pixels to the right. */
function laid(Artwork $artwork, string $folder, int $right = 0): Image
{
    return Fixtures::renderer(Fixtures::shelf($folder))->picture($artwork, new Frame(300, 350 + $right, 550, 200, 100))->settled();
}

it('lays a picture at its own ppi on the grid pixel for pixel', function (float $x, int $right): void {
    $folder = Fixtures::temporary('chance');
    $laid = laid(chance_picture($folder, ['x' => $x]), $folder, $right);
    $file = ImageFile::read(PictureType::Png, "$folder/chance.png");
    expect($laid->band(0, 3)->toBytes())->toBe($file->band(0, 3)->toBytes())->and($laid->alpha()->range())->toBe([255.0, 255.0]);
})->with([
    'in the middle' => [1.5, 0],
    'so many pixels to the right' => [1.5 + 37 / 300, 37],
    'to the left' => [1.5 - 120 / 300, -120],
    'a thousandth of a pixel off' => [1.5 + 0.001 / 300, 0],
]);

it('mixes pixels where it lies between them', function (): void {
    $folder = Fixtures::temporary('chance');
    $on = laid(chance_picture($folder, ['x' => 1.5]), $folder);
    $between = laid(chance_picture($folder, ['x' => 1.5 + 0.5 / 300]), $folder);
    // Chance that is mixed half and half is less of it.
    expect($between->band(0)->crop(10, 10, 180, 80)->deviation())->toBeLessThan(0.85 * $on->band(0)->crop(10, 10, 180, 80)->deviation());
});

it('mixes pixels of what is turned or sized by ever so little', function (array $placement): void {
    $folder = Fixtures::temporary('chance');
    $on = laid(chance_picture($folder, ['x' => 1.5]), $folder);
    expect(laid(chance_picture($folder, ['x' => 1.5] + $placement), $folder)->minus($on)->operation('abs')->mean())->toBeGreaterThan(3.0);
})->with([[['turn' => 0.5]], [['width' => 201 / 300]], [['width' => 199 / 300]]]);

it('lays a picture that reaches beyond the window as far as that goes', function (): void {
    $folder = Fixtures::temporary('chance');
    $artwork = chance_picture($folder, ['x' => 1.5]);
    $part = Fixtures::renderer(Fixtures::shelf($folder))->picture($artwork, new Frame(300, 330, 590, 100, 100))->settled();
    $file = ImageFile::read(PictureType::Png, "$folder/chance.png");
    expect($part->crop(20, 0, 80, 60)->band(0, 3)->toBytes())->toBe($file->crop(0, 40, 80, 60)->band(0, 3)->toBytes())
        ->and($part->crop(0, 0, 20, 100)->alpha()->area())->toBe(0.0)->and($part->crop(0, 60, 100, 40)->alpha()->area())->toBe(0.0);
});
