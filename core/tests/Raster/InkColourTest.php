<?php

declare(strict_types=1);

use TallCrow\Raster\Image;

/** Ink of one colour whose alpha runs from none to full and back by a bell from left to right. */
function flat_ink(int $width): Image
{
    $row = '';
    for ($x = 0; $x < $width; $x++) {
        $row .= "\xb0\x4a\x2c".chr((int) round(255 * exp(-(($x - $width / 2) / ($width / 9)) ** 2)));
    }

    return Image::raw(str_repeat($row, 40), $width, 40, 4);
}

/** The largest difference of a colour from the ink's, where there is ink enough to be seen. */
function off_colour(Image $image): int
{
    $off = 0;
    foreach (str_split($image->toBytes(), 4) as $pixel) {
        if (ord($pixel[3]) > 6) {
            $off = max($off, abs(ord($pixel[0]) - 0xB0), abs(ord($pixel[1]) - 0x4A), abs(ord($pixel[2]) - 0x2C));
        }
    }

    return $off;
}

// Mixed with nothing, a colour stays what it is: the mean of pixels weighed by their alpha.
it('keeps the colour of ink, faint ink too, in fewer pixels or in more', function (float $by): void {
    $small = flat_ink(360)->resized($by)->settled();
    expect($small->alpha()->range()[1])->toBeGreaterThan(200.0)->and(off_colour($small))->toBeLessThanOrEqual(1);
})->with([0.93, 0.5, 0.31, 0.2, 0.11, 0.05, 1.7]);

it('keeps the colour of ink in the mean of blocks, turned, and drawn by a map', function (): void {
    $ink = flat_ink(360);
    $map = '';
    for ($i = 0; $i < 300 * 30; $i++) {
        $map .= pack('gg', 20.3 + ($i % 300) * 1.07, 2.4 + intdiv($i, 300));
    }
    foreach ([$ink->shrunkInk(5), $ink->affine([0.9, -0.2, 0.2, 0.9], 10.3, 60.6, 0, 0, 360, 120), $ink->drawnFrom(Image::floats($map, 300, 30, 2))] as $drawn) {
        expect($drawn->alpha()->range()[1])->toBeGreaterThan(200.0)->and(off_colour($drawn))->toBeLessThanOrEqual(1);
    }
});

it('keeps solid ink solid and in its colour beside an edge, however much smaller it is drawn', function (float $by): void {
    $plate = Image::raw(str_repeat("\xb0\x4a\x2c\xff", 700 * 700), 700, 700, 4);
    $small = $plate->resized($by)->settled();
    expect($small->alpha()->range())->toBe([255.0, 255.0])->and(off_colour($small))->toBe(0);
    $about = $plate->embed(150, 150, 1000, 1000)->settled()->resized($by)->settled();
    expect($about->alpha()->range())->toBe([0.0, 255.0])->and(off_colour($about))->toBeLessThanOrEqual(1);
})->with([0.9, 0.5, 0.33, 0.2, 0.123, 0.05, 0.02]);

it('shrinks to the mean, not to a level below it', function (): void {
    mt_srand(5);
    $bytes = implode('', array_map(fn (): string => chr(mt_rand(0, 255)), range(1, 100 * 100)));
    $even = Image::raw(preg_replace('/./s', "$0$0$0\xc8", $bytes), 100, 100, 4);
    expect($even->shrunkInk(5)->band(1)->settled()->mean())->toEqualWithDelta(array_sum(array_map(ord(...), str_split($bytes))) / 10000, 0.1);
});

it('draws out samples of several bands as those of one', function (): void {
    mt_srand(9);
    $band = fn (): Image => Image::floats(pack('g*', ...array_map(fn (): float => mt_rand(0, 2000) / 10, range(1, 63))), 9, 7, 1)->settled();
    $bands = [$band(), $band(), $band(), $band()];
    $all = $bands[0]->withBand($bands[1])->withBand($bands[2])->withBand($bands[3])->settled();
    foreach ([fn (Image $of): Image => $of->interpolated(4, 30, 22), fn (Image $of): Image => $of->stretched(40, 30)] as $draw) {
        foreach ($bands as $i => $one) {
            expect($draw($all)->band($i)->minus($draw($one))->settled()->range())->toEqualWithDelta([0.0, 0.0], 1e-3);
        }
    }
});
