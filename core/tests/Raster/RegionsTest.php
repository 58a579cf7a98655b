<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Tests\Fixtures;

/** A mask of blots, and the file that ImageMagick has it from. @return array{Image, string} */
function blotted(int $seed, int $threshold = 54): array
{
    $path = Fixtures::temporary('blots').'/m.pgm';
    Fixtures::run(['convert', '-size', '90x70', '-seed', (string) $seed, 'xc:gray50', '+noise', 'Random', '-colorspace', 'Gray', '-blur', '0x1.4', '-normalize', '-threshold', "$threshold%", '-depth', '8', $path]);

    return [magick_grey($path), $path];
}

/** A greyscale picture as ImageMagick leaves it. */
function magick_grey(string $path, string ...$how): Image
{
    return Image::raw(substr(Fixtures::run(['convert', $path, ...$how, '-depth', '8', 'gray:-']), 0, 90 * 70), 90, 70, 1);
}

function alike_masks(Image $one, Image $other): bool
{
    return $one->toBytes() === $other->toBytes();
}

it('numbers regions as ImageMagick\'s connected components are, of ink and of what is bare', function (int $seed): void {
    [$mask, $path] = blotted($seed);
    [$numbers, $count] = Morphology::regions($mask);
    preg_match_all('/^ +\d+: \S+ \S+ (\d+) /m', Fixtures::run(['convert', $path, '-define', 'connected-components:verbose=true', '-connected-components', '4', 'null:']), $found);
    $sizes = array_slice(Histogram::ofShorts($numbers->asNumbers()->settled()), 1);
    $known = array_map(intval(...), $found[1]);
    sort($sizes);
    sort($known);
    expect($count)->toBe(count($known))->and($sizes)->toBe($known)->and($count)->toBeGreaterThan(20);
})->with([1, 2, 3]);

it('numbers a picture of one value as one region', function (): void {
    expect(Morphology::regions(Image::empty(12, 9, 1))[1])->toBe(1);
});

// Serra, 1982, as ImageMagick does it with a square: erosion, dilation, and the one after the other.
it('erodes, dilates and opens masks by squares as ImageMagick does', function (int $side): void {
    [$mask, $path] = blotted(5, 48);
    $kernel = 'Square:'.intdiv($side, 2);
    $inside = fn (Image $image): Image => $image->crop($side, $side, 90 - 2 * $side, 70 - 2 * $side)->settled();
    expect(alike_masks($inside(Morphology::worn($mask, $side)), $inside(magick_grey($path, '-morphology', 'Erode', $kernel))))->toBeTrue()
        ->and(alike_masks($inside(Morphology::grown($mask, $side)), $inside(magick_grey($path, '-morphology', 'Dilate', $kernel))))->toBeTrue()
        ->and(alike_masks($inside(Morphology::opened($mask, $side)), $inside(magick_grey($path, '-morphology', 'Open', $kernel))))->toBeTrue()
        ->and(alike_masks($inside(Morphology::worn($mask, $side)), $inside(Morphology::eroded($mask, $side))))->toBeTrue()
        ->and(alike_masks($inside(Morphology::grown($mask, $side)), $inside(Morphology::dilated($mask, $side))))->toBeTrue();
})->with([3, 5, 9]);

it('takes the most common of neighbours, which clears single specks and keeps edges', function (): void {
    $bytes = str_repeat("\0", 20 * 20);
    for ($y = 0; $y < 20; $y++) {
        for ($x = 10; $x < 20; $x++) {
            $bytes[$y * 20 + $x] = "\1";
        }
    }
    $clean = $bytes;
    $bytes[5 * 20 + 4] = "\1";
    $bytes[12 * 20 + 15] = "\0";
    expect(Morphology::commonest(Image::raw($bytes, 20, 20, 1), 3, 2)->toBytes())->toBe($clean);
});

it('counts, sums and finds values as a loop over the pixels does', function (): void {
    $random = new Randomizer(new Mt19937(11));
    [$numbers, $first, $second] = [[], '', ''];
    for ($i = 0; $i < 40 * 30; $i++) {
        $numbers[] = [3, 17, 400, 65_535][$random->getInt(0, 3)];
        $first .= chr(255 * $random->getInt(0, 1));
        $second .= chr(255 * $random->getInt(0, 1));
    }
    $image = Image::shorts(pack('v*', ...$numbers), 1200);
    $masks = [Image::raw($first, 1200, 1, 1), Image::raw($second, 1200, 1, 1)];
    $counts = Histogram::ofMasks($masks, $image);
    foreach ([3, 17, 400, 65_535, 16] as $value) {
        foreach ([$first, $second] as $i => $mask) {
            $own = count(array_filter($numbers, fn (int $number, int $at): bool => $number === $value && $mask[$at] === "\xff", ARRAY_FILTER_USE_BOTH));
            expect($counts[$i][$value])->toBe($own);
        }
        expect(Histogram::ofShorts($image)[$value])->toBe(count(array_keys($numbers, $value, true)));
    }
    expect(Histogram::present($image))->toBe([3, 17, 400, 65_535]);

    $bytes = implode('', array_map(fn (): string => chr($random->getInt(0, 255)), range(1, 600)));
    $by = implode('', array_map(fn (): string => chr($random->getInt(0, 3)), range(1, 600)));
    $sums = Histogram::summedBy(Image::raw($bytes, 600, 1, 1), Image::raw($by, 600, 1, 1));
    $known = array_fill(0, 256, 0.0);
    foreach (str_split($bytes) as $at => $byte) {
        $known[ord($by[$at])] += ord($byte);
    }
    expect($sums)->toBe($known)->and(Histogram::of(Image::raw($bytes, 600, 1, 1)))->toBe(array_values(array_replace(array_fill(0, 256, 0), array_count_values(array_map(ord(...), str_split($bytes))))));
});

it('floods what is joined to the corner, and nothing beyond', function (): void {
    [$mask] = blotted(7);
    $flooded = Morphology::flooded($mask, 77.0);
    [$numbers] = Morphology::regions($mask);
    $of = array_values((array) unpack('V*', $numbers->toBytes()));
    foreach (str_split($flooded->toBytes()) as $at => $byte) {
        expect(ord($byte) === 77)->toBe($of[$at] === $of[0]);
    }
});
