<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Cutout\Background;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Cutout\FlatColours;
use TallCrow\Cutout\Mixtures;
use TallCrow\Cutout\Tracing;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/**
 * A picture of a few flat colours as a scan or an export has it, its edges soft, and the same many times larger with hard edges, both painted by ImageMagick.
 *
 * @param  list<string>  $draw  in pixels of the large one
 * @return array{Image, Image}
 */
function soft_and_hard(array $draw, int $width, int $height, int $times): array
{
    $folder = Fixtures::temporary('flat');
    Fixtures::run(['convert', '-size', sprintf('%dx%d', $width * $times, $height * $times), ...$draw, '+antialias', "PNG32:$folder/hard.png"]);
    Fixtures::run(['convert', "$folder/hard.png", '-scale', "{$width}x{$height}!", "PNG32:$folder/soft.png"]);
    $read = fn (string $name): Image => ImageFile::read(PictureType::Png, "$folder/$name.png")->asInk()->settled();

    return [$read('soft'), $read('hard')];
}

/** Pixels of one colour, within a few levels. */
function pixels_alike(Image $picture, string $hex): float
{
    $colour = Srgb::hex($hex);
    $near = null;
    foreach ([$colour->red, $colour->green, $colour->blue] as $band => $level) {
        $here = $picture->band($band)->isMore($level - 3.5)->both($picture->band($band)->isLess($level + 3.5));
        $near = $near?->both($here) ?? $here;
    }

    return $near?->both($picture->alpha()->isMore(250.0))->settled()->area() ?? 0.0;
}

const THREE_DISCS = ['xc:#ffffff', '+antialias', '-fill', '#000000', '-draw', 'circle 800,800 800,400', '-fill', '#808080', '-draw', 'circle 1900,800 1900,500', '-fill', '#ff8000', '-draw', 'circle 2600,1500 2600,1300'];

it('knows the pixels of soft edges from those of a colour, of a thin line and of a gentle run', function (): void {
    $row = fn (string ...$colours): Image => Image::raw(str_repeat(implode('', array_map(fn (string $hex): string => (string) hex2bin(strlen($hex) === 6 ? $hex.'ff' : $hex), $colours)), 5), count($colours), 5, 4);
    $mixed = fn (string ...$colours): array => array_map(ord(...), str_split(substr(Mixtures::of($row(...$colours))->toBytes(), 0, count($colours))));
    expect($mixed('000000', '000000', '606060', 'ffffff', 'ffffff'))->toBe([0, 0, 255, 0, 0])
        ->and($mixed('000000', '000000', '303030', 'c0c0c0', 'ffffff', 'ffffff'))->toBe([0, 0, 255, 255, 0, 0])
        // Orange is on no straight way from black to white.
        ->and($mixed('000000', '000000', 'ff8000', 'ffffff', 'ffffff'))->toBe([0, 0, 0, 0, 0])
        // A line between what is alike on both sides stands for itself.
        ->and($mixed('ffffff', 'ffffff', '606060', 'ffffff', 'ffffff'))->toBe([0, 0, 0, 0, 0])
        // Beside clear pixels there is no colour to be mixed with.
        ->and($mixed('00000000', '00000000', '606060', 'ffffff', 'ffffff'))->toBe([0, 0, 0, 0, 0])
        // Eleven levels of each channel in two pixels are grain, thirteen an edge.
        ->and($mixed('404040', '454545', '4b4b4b'))->toBe([0, 0, 0])
        ->and($mixed('404040', '474747', '4d4d4d'))->toBe([0, 255, 0]);
});

it('finds the colours of a picture and not the mixtures of its edges', function (): void {
    [$soft] = soft_and_hard(THREE_DISCS, 400, 300, 8);
    $found = array_map(fn ($bucket): string => $bucket->colour->toHex(), Background::buckets($soft, 4));
    sort($found);
    expect($found)->toBe(['#000000', '#808080', '#ff8000', '#ffffff']);
});

it('takes what edges of a fine pen are for colours where there is nothing else', function (): void {
    // Each pixel lies between its neighbours.
    $ramp = Image::raw(str_repeat(implode('', array_map(fn (int $x): string => str_repeat(chr(8 * $x), 3)."\xff", range(0, 31))), 8), 32, 8, 4);
    expect(count(Background::buckets($ramp, 3)))->toBe(3);
});

it('gives a pixel of a soft edge to the colour that it holds more of, and to no third that the edge passes', function (): void {
    [$soft, $hard] = soft_and_hard(THREE_DISCS, 400, 300, 8);
    $colours = array_map(Srgb::hex(...), ['#000000', '#808080', '#ff8000', '#ffffff']);
    $named = Lookup::indexed(FlatColours::numbered($soft, $colours), $colours)->withBand($soft->alpha());
    foreach ($colours as $colour) {
        // Areas as of the hard discs, eight times as large each way: a grey seam about the black one alone would be 300 pixels.
        expect(pixels_alike($named, $colour->toHex()))->toEqualWithDelta(pixels_alike($hard, $colour->toHex()) / 64, 40);
    }
    expect(pixels_alike($named->crop(20, 20, 170, 180), '#808080'))->toBe(0.0);
});

it('traces flat art to its own colours, its edges where they were, with no seam of a third', function (int $count): void {
    $draw = array_slice(THREE_DISCS, 0, match ($count) {
        2 => 6,
        3 => 10,
        default => null,
    });
    [$soft, $hard] = soft_and_hard($draw, 400, 300, 8);
    $traced = ImageFile::drawing(str_replace('<svg ', '<svg width="3200" height="2400" ', Tracing::svg($soft, $count)))->asInk()->settled();
    $colours = array_slice(['#ffffff', '#000000', '#808080', '#ff8000'], 0, $count);
    $length = 2 * M_PI * 400;
    foreach ($colours as $hex) {
        // Less than a tenth of a pixel of the soft picture all along the edge of the largest.
        expect(abs(pixels_alike($traced, $hex) - pixels_alike($hard, $hex)) / 8 / $length)->toBeLessThan(0.5);
    }
    $seam = $traced->crop(200, 200, 1250, 1350);
    expect(array_sum(array_map(fn (string $hex): float => pixels_alike($seam, $hex), array_slice($colours, 2))))->toBeLessThan(0.02 * 8 * $length);
})->with([2, 3, 4]);

it('traces what a JPEG has blurred without specks between its colours', function (): void {
    [$soft] = soft_and_hard(THREE_DISCS, 400, 300, 8);
    $file = Fixtures::temporary('flat').'/blurred.jpg';
    file_put_contents($file, ImageFile::jpegOn($soft, Srgb::of(255, 255, 255), 55));
    $svg = Tracing::svg(ImageFile::read(PictureType::Jpeg, $file)->asInk()->settled(), 4);
    // Outlines and holes of a page and three discs that lie apart, which are eight, and a few more.
    preg_match_all('/ d="([^"]*)"/', $svg, $paths);
    expect(preg_match_all('/[Mm]/', implode('', $paths[1])))->toBeGreaterThanOrEqual(4)->toBeLessThanOrEqual(12);
});

it('keeps a serif of a pixel and a half in a lettering that it traces', function (): void {
    [$soft, $hard] = soft_and_hard(['xc:#ffffff', '+antialias', '-fill', '#203040', '-draw', 'rectangle 400,400 1200,411', '-draw', 'rectangle 400,400 480,1600'], 200, 250, 8);
    $traced = ImageFile::drawing(str_replace('<svg ', '<svg width="1600" height="2000" ', Tracing::svg($soft, 2)))->asInk()->settled();
    expect(pixels_alike($traced->crop(600, 380, 500, 50), '#203040') / pixels_alike($hard->crop(600, 380, 500, 50), '#203040'))->toEqualWithDelta(1.0, 0.1);
});

it('hides a colour and leaves the edges of others that pass through it', function (): void {
    [$soft] = soft_and_hard(THREE_DISCS, 400, 300, 8);
    $about = fn (Image $picture): float => $picture->alpha()->crop(40, 40, 120, 120)->inverted()->area();
    expect($about(Background::ofBuckets($soft, 4, [Srgb::hex('#808080')])))->toBe(0.0)
        ->and($about(Background::ofColour($soft, Srgb::hex('#808080'), 14)))->toBe(0.0)
        ->and(Background::ofBuckets($soft, 4, [Srgb::hex('#808080')])->alpha()->inverted()->area())->toEqualWithDelta(M_PI * 37.5 ** 2, 60);
    // Before a grey ground, too.
    [$grey] = soft_and_hard(['xc:#808080', '+antialias', '-fill', '#000000', '-draw', 'circle 800,800 800,400', '-fill', '#ffffff', '-draw', 'circle 800,800 800,600'], 200, 200, 8);
    expect(Background::fromEdge($grey, 14, true)->alpha()->crop(68, 68, 64, 64)->inverted()->area())->toBe(0.0);
    // And the other way: nothing of grey stays along the edge of two that go.
    $both = Background::ofBuckets($soft, 4, [Srgb::hex('#000000'), Srgb::hex('#ffffff')])->alpha()->settled();
    expect($both->crop(20, 20, 150, 180)->area())->toBe(0.0)->and($both->area())->toEqualWithDelta(M_PI * (37.5 ** 2 + 25 ** 2), 80);
});

it('traces a grainy photo to few shapes with whole borders, and keeps its fine lines', function (): void {
    $folder = Fixtures::temporary('grainy');
    Fixtures::run(['convert', '-size', '1600x1200', 'gradient:#406020-#a0c060', '-seed', '3', '-attenuate', '0.25', '+noise', 'Gaussian', '-fill', '#c8372d', '-draw', 'circle 500,600 500,300',
        '-fill', 'none', '-stroke', '#203050', '-strokewidth', '3', '-draw', 'line 100,1100 1500,900', '-quality', '90', "$folder/photo.jpg"]);
    $photo = ImageFile::read(PictureType::Jpeg, "$folder/photo.jpg")->asInk()->settled();
    // With every grain by itself these were 8226.
    expect(preg_match_all('/m/i', Tracing::svg($photo, 5)))->toBeLessThan(1500);
    $traced = Tracing::painted($photo, 5, 1);
    $like = fn (string $colour): Image => ColourKeys::of($traced)->difference([Srgb::hex($colour)])->isLess(12 * ColourKeys::PER_UNIT)->settled();
    expect($like('#c8372d')->area())->toEqualWithDelta(M_PI * 300 ** 2, 3000)
        ->and($like('#203050')->crop(100, 880, 1400, 240)->area())->toEqualWithDelta(3 * hypot(1400, 200), 900);
});
