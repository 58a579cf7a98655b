<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Blur;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Morphology;
use TallCrow\Raster\PictureType;
use TallCrow\Raster\RasterFailed;
use TallCrow\Tests\Fixtures;

/** One 8-bit band from rows of numbers. @param  list<list<int>>  $rows */
function band_of(array $rows): Image
{
    return Image::raw(implode('', array_map(fn (array $row): string => pack('C*', ...$row), $rows)), count($rows[0]), count($rows), 1);
}

/** @return list<list<int>> */
function rows_of(Image $band): array
{
    return array_map(fn (string $row): array => array_values((array) unpack('C*', $row)), str_split($band->toBytes(), $band->width()));
}

/** A picture of chance, the same for each seed. */
function chance(int $width, int $height, int $bands, int $seed = 3): Image
{
    $image = Image::raw((new Random\Randomizer(new Random\Engine\Xoshiro256StarStar($seed)))->getBytes($width * $height * $bands), $width, $height, $bands);

    return $bands === 4 ? $image->asColours() : $image;
}

function written(Image $image, string $name): string
{
    $path = Fixtures::temporary($name).'/i.png';
    ImageFile::writePng($image, $path, 1);

    return $path;
}

// The standard normal distribution as tables give it: Φ(½) = 0.6915, Φ(1) = 0.8413, Φ(2) = 0.9772.
it('softens a straight edge as the bell does, narrow or broad', function (float $sigma): void {
    $half = (int) ($sigma * 5);
    $edge = Blur::wide(Image::empty($half, 9, 1)->inverted()->embed(0, 0, 2 * $half, 9), $sigma);
    $row = rows_of($edge->crop(0, 4, 2 * $half, 1))[0];
    foreach ([-2 => 0.9772, -1 => 0.8413, 1 => 0.1587, 2 => 0.0228] as $sigmas => $share) {
        // Between the two pixels about the place.
        $at = $half + $sigmas * $sigma - 0.5;
        $left = (int) floor($at);
        expect($row[$left] + ($at - $left) * ($row[$left + 1] - $row[$left]))->toEqualWithDelta(255 * $share, $sigma < 6 ? 3.0 : 1.5);
    }
})->with([3.0, 4.0, 6.0, 11.0, 12.0, 20.0, 40.0, 77.0]);

it('neither shifts nor loses what it softens', function (float $sigma): void {
    $spot = Image::empty(60, 60, 1)->inverted()->embed(270, 250, 600, 560);
    $soft = Blur::wide($spot, $sigma)->settled();
    $rows = rows_of($soft);
    $sum = $across = $down = 0.0;
    foreach ($rows as $y => $row) {
        foreach ($row as $x => $value) {
            [$sum, $across, $down] = [$sum + $value, $across + $value * ($x + 0.5), $down + $value * ($y + 0.5)];
        }
    }
    expect($sum / 255)->toEqualWithDelta(3600, 3600 * 0.02)->and($across / $sum)->toEqualWithDelta(300, 0.6)->and($down / $sum)->toEqualWithDelta(280, 0.6);
})->with([6.0, 14.0, 25.0, 50.0]);

it('lets the edge of the picture go on beyond it', function (): void {
    expect(Blur::wide(Image::empty(100, 80, 1)->inverted(), 30)->range())->toBe([255.0, 255.0]);
});

it('keeps the mean when it shrinks, by whole blocks and by any factor', function (float $by): void {
    $noise = chance(420, 360, 1);
    // Halves are rounded upwards, once across and once down: a quarter of a level each for blocks of two.
    expect($noise->shrunkBy($by)->mean())->toEqualWithDelta($noise->mean() + ($by == 2.0 ? 0.5 : 0), 0.35)
        ->and($noise->resized(1 / $by)->mean())->toEqualWithDelta($noise->mean(), 0.35);
})->with([2.0, 2.5, 3.0, 4.7, 6.0]);

// ImageMagick's -scale takes the mean of blocks, and works colours weighed by alpha.
it('shrinks ink by the mean of blocks, colours weighed by how much there is, as ImageMagick does', function (int $by): void {
    $ink = chance(240, 180, 4);
    $theirs = ImageFile::read(PictureType::Png, tap(Fixtures::temporary('scale').'/o.png', fn (string $out) => Fixtures::run(['convert', written($ink, 'scale'), '-scale', intdiv(240, $by).'x'.intdiv(180, $by).'!', $out])))->asInk();
    // As they lie on black cloth: the colour of ink that hardly covers is not to be seen.
    $off = array_map(fn (string $a, string $b): int => abs(ord($a) - ord($b)), str_split(Composition::onCloth($ink->shrunkInk($by), Srgb::of(0, 0, 0))->toBytes()), str_split(Composition::onCloth($theirs, Srgb::of(0, 0, 0))->toBytes()));
    expect(max($off))->toBeLessThan(4)->and(array_sum($off) / count($off))->toBeLessThan(1.0);
})->with([2, 3, 5]);

it('carries no colour from where there is no ink', function (): void {
    // Red ink beside clear green.
    $ink = Image::flat(Srgb::of(255, 0, 0), Image::empty(40, 40, 1)->inverted())->settled();
    $clear = Image::flat(Srgb::of(0, 255, 0), Image::empty(40, 40, 1))->settled();
    $small = $ink->embed(0, 0, 80, 40)->insert($clear, 40, 0)->resized(0.37)->settled();
    $green = array_filter(str_split($small->toBytes(), 4), fn (string $pixel): bool => ord($pixel[3]) > 4 && ord($pixel[1]) > 2);
    expect($green)->toBe([])->and($small->alpha()->range())->toBe([0.0, 255.0]);
});

it('multiplies masks as whole numbers rounded', function (): void {
    $a = band_of([range(0, 255)]);
    foreach ([0, 1, 77, 128, 254, 255] as $b) {
        $product = rows_of($a->times(band_of([array_fill(0, 256, $b)])))[0];
        foreach ($product as $level => $value) {
            expect(abs($value - $level * $b / 255))->toBeLessThan(1.0);
        }
        expect($product[255])->toBe($b)->and($product[0])->toBe(0);
    }
});

it('takes ink away by a mask and leaves its colours', function (): void {
    $ink = chance(30, 20, 4);
    $mask = chance(30, 20, 1, 9);
    $masked = $ink->masked($mask);
    expect($masked->band(0, 3)->toBytes())->toBe($ink->band(0, 3)->toBytes())->and($masked->alpha()->toBytes())->toBe($ink->alpha()->times($mask)->toBytes());
});

it('paints one colour under a mask', function (): void {
    $mask = band_of([[0, 128, 255]]);
    expect(bin2hex(Image::flat(Srgb::of(1, 2, 3), $mask)->toBytes()))->toBe('010203000102038001'.'0203ff');
});

it('tiles without a seam, wherever the corner lies', function (int $left, int $top): void {
    $tile = band_of([[1, 2, 3], [4, 5, 6]]);
    $rows = rows_of($tile->tiled($left, $top, 7, 5));
    foreach ($rows as $y => $row) {
        foreach ($row as $x => $value) {
            expect($value)->toBe(1 + ((($x - $left) % 3) + 3) % 3 + 3 * (((($y - $top) % 2) + 2) % 2));
        }
    }
})->with([[0, 0], [1, 1], [-1, -1], [5, -7], [300, 200]]);

it('sums ink by the level of another picture', function (): void {
    $sums = Histogram::summedBy(band_of([[10, 20, 30], [40, 50, 60]]), band_of([[7, 7, 9], [9, 255, 0]]));
    expect([$sums[7], $sums[9], $sums[255], $sums[0], array_sum($sums)])->toBe([30.0, 70.0, 50.0, 60.0, 210.0])->and($sums)->toHaveCount(256);
});

it('glimpses pixels as they are, and draws samples out straight between', function (): void {
    expect(rows_of(band_of([[1, 2, 3, 4], [5, 6, 7, 8], [9, 10, 11, 12], [13, 14, 15, 16]])->subsampled(2)))->toBe([[1, 3], [9, 11]])
        ->and(rows_of(band_of([[0, 100, 200], [0, 100, 200]])->interpolated(4, 9, 1))[0])->toBe([0, 25, 50, 75, 100, 125, 150, 175, 200]);
});

it('finds the box about a mask, and none of an empty one', function (): void {
    expect(Image::empty(5, 3, 1)->inverted()->embed(11, 7, 40, 30)->inkBox())->toBe([11, 7, 5, 3])->and(Image::empty(9, 9, 1)->inkBox())->toBeNull();
});

it('numbers regions and floods from the corner', function (): void {
    $islands = band_of([[0, 0, 255, 0], [0, 255, 255, 0], [0, 0, 255, 0]]);
    [, $count] = Morphology::regions($islands);
    expect($count)->toBe(3)->and(rows_of(Morphology::flooded($islands, 9)))->toBe([[9, 9, 255, 0], [9, 255, 255, 0], [9, 9, 255, 0]]);
});

it('turns a picture about its middle, a quarter turn exactly', function (bool $mixed): void {
    $rows = [[1, 2, 3, 4], [5, 6, 7, 8], [9, 10, 11, 12], [13, 14, 15, 16]];
    $turned = rows_of(band_of($rows)->turnedInto(90, [2.0, 2.0], 4, 4, $mixed));
    // Clockwise: the left column becomes the top row, from the bottom up.
    expect($turned)->toBe([[13, 9, 5, 1], [14, 10, 6, 2], [15, 11, 7, 3], [16, 12, 8, 4]]);
    // About another point, that comes to lie in the middle of what is cut out.
    expect(rows_of(band_of($rows)->turnedInto(90, [3.0, 1.0], 2, 2, $mixed)))->toBe([[7, 3], [8, 4]]);
})->with([true, false]);

it('turns about any part of a pixel, as ImageMagick does', function (): void {
    $folder = Fixtures::temporary('turned');
    // A soft hill, so that how pixels are mixed hardly tells.
    Fixtures::run(['convert', '-size', '120x90', 'radial-gradient:white-black', '-depth', '8', "$folder/hill.png"]);
    $hill = ImageFile::read(PictureType::Png, "$folder/hill.png")->band(0)->settled();
    $turned = $hill->turnedInto(33, [50.3, 40.8], 60, 50);
    Fixtures::run(['convert', "$folder/hill.png", '-virtual-pixel', 'black', '-define', 'distort:viewport=60x50+0+0', '-distort', 'ScaleRotateTranslate', '50.3,40.8 1 33 30,25', '-depth', '8', "$folder/theirs.png"]);
    $theirs = ImageFile::read(PictureType::Png, "$folder/theirs.png")->band(0)->settled();
    expect($turned->minus($theirs)->operation('abs')->range()[1])->toBeLessThan(3.0)->and($theirs->range()[1])->toBeGreaterThan(200.0);
});

it('clears the colour of what is fully clear, and touches nothing else', function (): void {
    $ink = chance(50, 40, 4, 21);
    $some = $ink->withAlpha($ink->alpha()->isMore(100.0)->both($ink->alpha()))->settled();
    foreach (array_map(null, str_split($some->toBytes(), 4), str_split(Composition::withoutHiddenColour($some)->toBytes(), 4)) as [$before, $after]) {
        expect($after)->toBe(ord($before[3]) === 0 ? "\0\0\0\0" : $before);
    }
});

// WCAG 2.2's relative luminance is another measure; this is the luma of Rec. 709 as libvips reckons greys.
it('makes black of black, white of white, and greys in order', function (): void {
    $greys = Image::raw(implode('', array_map(fn (int $g): string => str_repeat(chr($g), 3), range(0, 255))), 256, 1, 3)->asColours();
    $row = rows_of(ColourBands::luminance($greys))[0];
    $sorted = $row;
    sort($sorted);
    expect($row[0])->toBe(0)->and($row[255])->toBe(255)->and($row)->toBe($sorted)->and(abs($row[128] - 128))->toBeLessThan(2);
});

it('shrinks a picture of many thousand pixels to a few, and keeps its tones', function (): void {
    // Ten bars of ten levels, 1200 px each: what lies within a bar of the small picture has its level.
    $levels = [0, 25, 51, 76, 102, 127, 153, 178, 204, 229];
    $bars = implode('', array_map(fn (int $level): string => str_repeat(chr($level), 12000), $levels));
    $tall = Image::raw($bars, 10, 12000, 1);
    $ink = $tall->linear(0.0, 80.0)->linearByte(1.0)->withBand($tall->linear(0.0, 80.0)->linearByte(1.0))->withBand($tall->linear(0.0, 80.0)->linearByte(1.0))->asColours()->withBand($tall);
    foreach ([[$tall->resized(0.2, 30 / 12000), 0], [$ink->resized(0.2, 30 / 12000), 3], [Image::raw($bars, 12000, 10, 1)->resized(1, 0.3), null]] as [$small, $band]) {
        expect($band === null ? $small->width() : $small->height())->toBe($band === null ? 12000 : 30);
        foreach ($band === null ? [] : $levels as $i => $level) {
            expect(ord($small->band($band)->crop(0, 3 * $i + 1, 1, 1)->toBytes()))->toBeBetween($level - 3, $level + 3);
        }
    }
    // One pixel of it all: the filter's weights are not quite even.
    expect(ord($tall->resized(0.01, 1 / 12000)->toBytes()))->toEqualWithDelta(array_sum($levels) / 10, 4.0);
});

it('puts pictures in place of what is there, and leaves the one it began with', function (): void {
    $on = band_of([[1, 2, 3], [4, 5, 6]])->settled();
    $with = $on->withCopied(band_of([[70, 80, 81], [90, 91, 92]]), [[1, 1, 0, 0, 2, 1], [2, 0, 1, 0, 1, 2], [0, 0, 2, 1, 1, 1]]);
    expect(rows_of($with))->toBe([[92, 2, 80], [4, 70, 91]])->and(rows_of($on))->toBe([[1, 2, 3], [4, 5, 6]]);
});

it('copies nothing from beyond a picture, nor between pictures that differ', function (Image $other, array $place): void {
    expect(fn () => band_of([[1, 2, 3], [4, 5, 6]])->withCopied($other, [$place]))->toThrow(RasterFailed::class, 'copy');
})->with([
    'beyond it' => fn () => [band_of([[1, 2]]), [2, 0, 0, 0, 2, 1]],
    'beyond the other' => fn () => [band_of([[1, 2]]), [0, 0, 0, 0, 2, 2]],
    'before it' => fn () => [band_of([[1, 2]]), [-1, 0, 0, 0, 1, 1]],
    'of more bands' => fn () => [band_of([[1, 2]])->withBand(band_of([[1, 2]])), [0, 0, 0, 0, 1, 1]],
    'of other numbers' => fn () => [band_of([[1, 2]])->linear(1.0), [0, 0, 0, 0, 1, 1]],
]);

it('takes of more than colours and alpha no more than those', function (): void {
    expect(Image::raw(str_repeat("\x10\x20\x30\x40\x50", 6), 3, 2, 5)->asColours()->asInk()->toBytes())->toBe(str_repeat("\x10\x20\x30\x40", 6))
        ->and(Image::raw(str_repeat("\x10\x20\x30", 6), 3, 2, 3)->asColours()->asInk()->toBytes())->toBe(str_repeat("\x10\x20\x30\xff", 6));
});

it('says what failed, and why where that is known', function (): void {
    expect(RasterFailed::during('crop', 'bad area')->getMessage())->toContain('crop')->toContain('bad area')
        ->and(RasterFailed::during('crop', '')->getMessage())->toContain('no reason given');
});
