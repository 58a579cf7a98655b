<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Colour\Srgb;
use TallCrow\Listing\GarmentCut;
use TallCrow\Listing\ListingPicture;
use TallCrow\Listing\Pictured;
use TallCrow\Listing\Scene;
use TallCrow\Listing\SceneSheet;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Tests\Fixtures;

function small_scene(string $scene = 'plain', int $seed = 1, string $product = 'tee', bool $back = false): Scene
{
    return new Scene($product, $back, SceneSheet::all()[$scene], $seed, 1000, 840);
}

/** A red plate of 8 × 6 in, 3 in below the top of a print area of 12 × 16 in. */
function plate_on_shirt(): Artwork
{
    return Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 8, '#c02020', ['placement' => ['x' => 6, 'y' => 6, 'height' => 6.0]])], ['sheet' => ['width' => 3600, 'height' => 4800, 'ppi' => 300]]);
}

function listed(Scene $scene, ?Artwork $artwork = null, string $cloth = '#3d4a57'): Image
{
    return Pictured::of($artwork ?? plate_on_shirt(), $scene, Fixtures::renderer())->on(Srgb::hex($cloth));
}

/** The box about the pixels that are redder than a share, by ImageMagick: width, height, left, top. */
function red_box(Image $image): array
{
    $path = Fixtures::temporary('listing').'/picture.png';
    ImageFile::writePng($image, $path);
    exec('convert '.escapeshellarg($path)." \\( -clone 0 -channel R -separate +channel \\) \\( -clone 0 -channel G -separate +channel -evaluate multiply 2.2 \\) -delete 0 -compose minus_src -composite -threshold 9% -trim -format '%w %h %X %Y' info:", $told);

    return array_map(intval(...), explode(' ', $told[0]));
}

it('shows art at its true scale, in its place below the collar', function (): void {
    $scene = small_scene();
    $ppi = ListingPicture::ppi($scene);
    [$width, $height, $left, $top] = red_box(listed($scene));
    $cut = GarmentCut::of('tee');
    $neck = ($scene->height - ($cut->length() - $cut->above()) * $ppi) / 2;

    // Folds bend its edges by a few pixels.
    expect($width)->toEqualWithDelta(8 * $ppi, 6)->and($height)->toEqualWithDelta(6 * $ppi, 6)->and($left + $width / 2)->toEqualWithDelta($scene->width / 2, 4)->and($top)->toEqualWithDelta($neck + ($cut->top() + 3) * $ppi, 5);
});

// ImageMagick's image moments are the reference: the direction of the longer axis of the plate, and its middle.
it('turns art and garment clockwise about the middle of the picture', function (int $seed): void {
    $scene = small_scene('wood', $seed);
    $ppi = ListingPicture::ppi($scene);
    $path = Fixtures::temporary('listing').'/picture.png';
    // The blue of a plate on black cloth: neither wood nor cloth holds as much more of it than of red.
    ImageFile::writePng(listed($scene, Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 10, '#2030e0', ['placement' => ['x' => 6, 'y' => 5, 'height' => 3.0]])], ['sheet' => ['width' => 3600, 'height' => 4800, 'ppi' => 300]]), '#101010'), $path);
    $told = Fixtures::run(['sh', '-c', 'convert "$1" \\( -clone 0 -channel B -separate \\) \\( -clone 0 -channel R -separate \\) -delete 0 -compose minus_src -composite -threshold 25% -define identify:moments=true -verbose info:', 'sh', $path]);
    preg_match('/Centroid: ([\d.]+),([\d.]+).*?Ellipse angle: (-?[\d.]+)/s', $told, $found);
    $angle = (float) $found[3];
    $cut = GarmentCut::of('tee');
    $down = ($scene->height - ($cut->length() - $cut->above()) * $ppi) / 2 + ($cut->top() + 5) * $ppi - $scene->height / 2;
    $turn = deg2rad($scene->turn());
    expect(abs($scene->turn()))->toBeGreaterThan(0.8)->and($angle > 90 ? $angle - 180 : $angle)->toEqualWithDelta($scene->turn(), 0.3)
        // Folds move it by a pixel or two.
        ->and((float) $found[1])->toEqualWithDelta($scene->width / 2 - sin($turn) * $down, 2.5)->and((float) $found[2])->toEqualWithDelta($scene->height / 2 + cos($turn) * $down, 2.5);
})->with([4, 8, 11]);

it('is the same for the same seed, and another for another', function (): void {
    $bytes = fn (int $seed): string => listed(small_scene('wood', $seed))->toBytes();
    expect(hash('sha256', $bytes(3)))->toBe(hash('sha256', $bytes(3)))->and($bytes(3))->not->toBe($bytes(4));
});

it('lights cloth and art by the same folds', function (): void {
    // The plate fills the print area, so that art lies over the very folds that the bare cloth shows.
    $wide = Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 12, '#c8bca6', ['placement' => ['x' => 6, 'y' => 8, 'height' => 16.0]])], ['sheet' => ['width' => 3600, 'height' => 4800, 'ppi' => 300]]);
    $bare = listed(small_scene(), Fixtures::artwork([], ['sheet' => ['width' => 3600, 'height' => 4800, 'ppi' => 300]]), '#c8bca6');
    $dressed = listed(small_scene(), $wide, '#c8bca6');

    expect($dressed->band(0, 3)->linear(1.0)->minus($bare->band(0, 3)->linear(1.0))->deviation())->toBeLessThan(1.0)->and($bare->crop(350, 350, 300, 400)->band(0)->deviation())->toBeGreaterThan(2.0);
});

it('is opaque and of the cloth that is asked for, whatever lies behind', function (string $scene, string $cloth): void {
    $picture = listed(small_scene($scene, 2), Fixtures::artwork([], ['sheet' => ['width' => 3600, 'height' => 4800, 'ppi' => 300]]), $cloth);
    $chest = $picture->crop(400, 250, 200, 200);
    $mean = array_map(fn (int $band): float => $chest->band($band)->mean(), [0, 1, 2]);
    $wanted = Srgb::hex($cloth);

    expect($picture->alpha()->range())->toBe([255.0, 255.0])->and([$picture->width(), $picture->height()])->toBe([1000, 840])->and($mean)->toEqualWithDelta([$wanted->red, $wanted->green, $wanted->blue], 22);
})->with([['plain', '#e6dac4'], ['paper', '#7a3527'], ['wood', '#24382c'], ['leaves', '#33363a'], ['folded', '#7a3527'], ['shore', '#24382c']]);

it('draws every garment, front and back', function (string $product, bool $back): void {
    $picture = listed(small_scene('plain', 1, $product, $back), cloth: '#702020');
    [$width, $height] = red_box($picture);

    expect($height)->toBeGreaterThan(500)->toBeLessThan(841)->and($width)->toBeGreaterThan(300)->toBeLessThan(1001);
})->with([['tee', false], ['tee', true], ['hoodie', false], ['hoodie', true], ['sweatshirt', false], ['tote', false], ['unheard of', false]]);

it('draws the outline that the bench draws', function (): void {
    $cut = GarmentCut::of('tee');
    expect($cut->outline(false))->toStartWith('M3.300000 0Q6.200000 0.600000 8.900000 1.700000')->toEndWith('Q0 7.200000 3.300000 0Z')->and($cut->outline(true))->toEndWith('Q0 2.200000 3.300000 0Z')->and($cut->extra())->toBeNull()->and(GarmentCut::of('hoodie')->extra())->toStartWith('M-5.6')
        ->and(array_diff($cut->seams(false), $cut->seams(true)))->toBe([3 => 'M3.9 0.2Q1.95 4.35 0 4.35']);
});
