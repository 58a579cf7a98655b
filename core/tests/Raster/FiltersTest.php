<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Blur;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\GuidedFilter;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Laid;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** The share of a bell of one deviation that lies below a place: Abramowitz and Stegun, Handbook of Mathematical Functions, 7.1.26, to 1.5e-7. */
function bell_below(float $x): float
{
    $z = abs($x) / M_SQRT2;
    $t = 1 / (1 + 0.3275911 * $z);
    $erf = 1 - ((((1.061405429 * $t - 1.453152027) * $t + 1.421413741) * $t - 0.284496736) * $t + 0.254829592) * $t * exp(-$z * $z);

    return $x < 0 ? (1 - $erf) / 2 : (1 + $erf) / 2;
}

/** White from a column on, in one band. */
function step_at(int $column, int $width, int $height): Image
{
    return Image::raw(str_repeat(str_repeat("\0", $column).str_repeat("\xff", $width - $column), $height), $width, $height, 1);
}

/** A picture with alpha that ImageMagick makes. */
function magick_ink(string ...$how): Image
{
    $path = Fixtures::temporary('filters').'/f.png';
    Fixtures::run(['convert', ...$how, "PNG32:$path"]);

    return ImageFile::read(PictureType::Png, $path)->asInk()->settled();
}

it('blurs an edge as a whole bell does, whatever its breadth', function (float $sigma, float $off): void {
    // Wherever the edge lies on the grid of blocks.
    foreach (range(118, 124) as $column) {
        $bytes = Blur::wide(step_at($column, 240, 9), $sigma)->toBytes();
        $far = array_map(fn (int $x): float => abs(ord($bytes[4 * 240 + $x]) - 255 * bell_below(($x + 0.5 - $column) / $sigma)), range(0, 239));
        expect(max($far))->toBeLessThan($off, "edge at $column");
    }
})->with([[1.0, 2.1], [2.5, 1.1], [3.9, 1.1], [4.0, 4.0], [5.0, 4.0], [6.0, 2.0], [9.5, 1.5], [16.0, 1.5], [30.0, 1.5]]);

it('blurs a part as the whole, from its margin on', function (float $sigma): void {
    $noise = Image::raw(substr(Fixtures::run(['convert', '-size', '200x160', '-seed', '4', 'xc:gray', '+noise', 'Random', '-colorspace', 'Gray', '-depth', '8', 'gray:-']), 0, 200 * 160), 200, 160, 1);
    $margin = Blur::margin($sigma);
    $whole = Blur::wide($noise, $sigma);
    [$left, $top, $width, $height] = [max(0, 90 - $margin), max(0, 70 - $margin), 20 + 2 * $margin, 16 + 2 * $margin];
    $part = Blur::wide($noise->crop($left, $top, min($width, 200 - $left), min($height, 160 - $top)), $sigma, [$left, $top]);
    expect($part->crop(90 - $left, 70 - $top, 20, 16)->minus($whole->crop(90, 70, 20, 16))->range())->toEqualWithDelta([0.0, 0.0], 1.0);
})->with([0.1, 1.5, 4.0, 8.0]);

it('leaves alone what a bell narrower than a pixel would blur', function (): void {
    $step = step_at(5, 10, 3);
    expect(Blur::gaussian($step, 0.1))->toBe($step)->and(Blur::margin(0.1))->toBe(0);
});

// He, Sun and Tang (2010): edges of the guide stay, what is finer than the edge asked for is smoothed.
it('smooths within edges and keeps those', function (float $sigma): void {
    $width = 80;
    $bytes = '';
    mt_srand(3);
    for ($y = 0; $y < 60; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $level = ($x < 40 ? 60 : 190) + mt_rand(-8, 8);
            $bytes .= chr($level).chr($level).chr($level);
        }
    }
    $picture = Image::raw($bytes, $width, 60, 3);
    $smooth = array_values((array) unpack('C*', GuidedFilter::filtered($picture, $sigma, 30.0)->toBytes()));
    $deviation = function (array $levels): float {
        $mean = array_sum($levels) / count($levels);

        return sqrt(array_sum(array_map(fn (int $level): float => ($level - $mean) ** 2, $levels)) / count($levels));
    };
    $part = fn (array $all, int $from, int $to): array => array_values(array_filter($all, fn (int $at): bool => intdiv($at, 3) % $width >= $from && intdiv($at, 3) % $width < $to, ARRAY_FILTER_USE_KEY));
    $before = array_values((array) unpack('C*', $bytes));
    expect($deviation($part($smooth, 8, 32)))->toBeLessThan(0.35 * $deviation($part($before, 8, 32)))
        // The step of 130 levels is there still, from one column to the next but one.
        ->and(array_sum($part($smooth, 42, 43)) / 180 - array_sum($part($smooth, 37, 38)) / 180)->toBeGreaterThan(100.0);
})->with([2.5, 4.0]);

/**
 * The mean under a whole bell about each pixel; beyond the picture its edge goes on.
 *
 * @param  list<float>  $levels
 * @return list<float>
 */
function mean_under_bell(array $levels, int $width, int $height, float $sigma): array
{
    $reach = (int) ceil(3.5 * $sigma);
    $bell = array_map(fn (int $off): float => exp(-$off * $off / (2 * $sigma * $sigma)), range(-$reach, $reach));
    $sum = array_sum($bell);
    foreach ([[1, 0], [0, 1]] as [$across, $down]) {
        $soft = [];
        for ($i = 0; $i < $width * $height; $i++) {
            $all = 0.0;
            foreach ($bell as $n => $weight) {
                [$x, $y] = [$i % $width + ($n - $reach) * $across, intdiv($i, $width) + ($n - $reach) * $down];
                $all += $weight * $levels[max(0, min($height - 1, $y)) * $width + max(0, min($width - 1, $x))];
            }
            $soft[] = $all / $sum;
        }
        $levels = $soft;
    }

    return $levels;
}

// He, Sun and Tang (2010), equations 5, 6 and 8 with the picture as its own guide, pixel by pixel.
// In blocks, what varies within one is not seen to vary: most at a sigma of one block.
it('smooths as the filter of the paper does, at a fraction of its size, too', function (float $sigma, float $mean, float $most): void {
    [$width, $height, $edge] = [64, 48, 20.0];
    $levels = array_map(fn (int $i): float => (float) (($i % $width < 20 || intdiv($i, $width) > 30 ? 70 : 150) + round(12 * sin($i % $width / 5) * cos(intdiv($i, $width) / 7))), range(0, $width * $height - 1));
    $under = fn (array $of): array => mean_under_bell($of, $width, $height, $sigma);
    $middle = $under($levels);
    $variance = array_map(fn (float $square, float $m): float => max(0.0, $square - $m * $m), $under(array_map(fn (float $l): float => $l * $l, $levels)), $middle);
    $factor = array_map(fn (float $v): float => $v / ($v + $edge * $edge), $variance);
    $rest = $under(array_map(fn (float $m, float $f): float => $m * (1 - $f), $middle, $factor));
    $wanted = array_map(fn (float $l, float $f, float $r): float => $l * $f + $r, $levels, $under($factor), $rest);
    $told = array_values((array) unpack('C*', GuidedFilter::filtered(Image::raw(implode('', array_map(fn (float $l): string => chr((int) $l), $levels)), $width, $height, 1), $sigma, $edge)->toBytes()));
    $off = array_map(fn (int $one, float $other): float => abs($one - $other), $told, $wanted);
    expect(array_sum($off) / count($off))->toBeLessThan($mean)->and(max($off))->toBeLessThan($most);
})->with([[1.5, 0.6, 2.0], [2.9, 0.6, 2.0], [3.0, 0.9, 10.0], [4.0, 0.75, 6.0], [9.0, 1.0, 5.0], [14.0, 1.4, 7.0]]);

it('fits a picture to a guide that says nothing by its mean, and a flat picture not at all', function (): void {
    $flat = Image::flat(Srgb::of(120, 60, 200), Image::empty(30, 20, 1)->inverted())->band(0, 3)->settled();
    expect(GuidedFilter::filtered($flat, 4.0, 10.0)->minus($flat)->range())->toEqualWithDelta([0.0, 0.0], 1.0);
});

it('lays pieces over one another, and takes out, as ImageMagick does', function (): void {
    $disc = magick_ink('-size', '60x60', 'xc:none', '-fill', '#b04a2ccc', '-draw', 'circle 30,30 30,4');
    $bar = magick_ink('-size', '50x16', 'xc:#f3ead780');
    $hole = magick_ink('-size', '30x30', 'xc:none', '-fill', 'white', '-draw', 'circle 15,15 15,3');
    $own = Composition::stacked(90, 80, [Laid::over($disc, 5, 6), Laid::takingOut($hole, 20, 20), Laid::over($bar, 30, 40)])->settled();
    $folder = Fixtures::temporary('stacked');
    foreach (['disc' => $disc, 'bar' => $bar, 'hole' => $hole] as $name => $image) {
        ImageFile::writePng($image, "$folder/$name.png");
    }
    $theirs = magick_ink('-size', '90x80', 'xc:none', "$folder/disc.png", '-geometry', '+5+6', '-composite', "$folder/hole.png", '-geometry', '+20+20', '-compose', 'DstOut', '-composite', "$folder/bar.png", '-geometry', '+30+40', '-compose', 'Over', '-composite');
    expect($own->alpha()->minus($theirs->alpha())->range())->toEqualWithDelta([0.0, 0.0], 1.0)
        ->and($own->masked($own->alpha())->minus($theirs->masked($theirs->alpha()))->range())->toEqualWithDelta([0.0, 0.0], 2.0)
        ->and(Composition::onCloth($own, Srgb::hex('#1b2742'))->minus(Composition::onCloth($theirs, Srgb::hex('#1b2742')))->range())->toEqualWithDelta([0.0, 0.0], 2.0);
});

it('lays nothing where there is nothing, and takes nothing out of it', function (): void {
    $hole = magick_ink('-size', '4x4', 'xc:white');
    expect(Composition::stacked(8, 6, [])->mean())->toBe(0.0)->and(Composition::stacked(8, 6, [Laid::takingOut($hole, 1, 1)])->mean())->toBe(0.0)->and(Composition::stacked(8, 6, [Laid::over($hole, 1, 2)])->alpha()->area())->toBe(16.0);
});

it('clears colour under clear pixels and no other', function (): void {
    $pixels = Image::raw("\x10\x20\x30\x00"."\x10\x20\x30\x01"."\xff\xff\xff\xff"."\xff\x00\xff\x00", 4, 1, 4);
    expect(Composition::withoutHiddenColour($pixels)->toBytes())->toBe("\0\0\0\0"."\x10\x20\x30\x01"."\xff\xff\xff\xff"."\0\0\0\0");
});

// Filter Effects Module Level 1: the matrices of hue-rotate and saturate.
it('turns hues and saturates as the matrices of CSS say', function (string $hex, float $degrees, array $turned, float $by, array $saturated): void {
    $pixel = Image::flat(Srgb::hex($hex), Image::empty(1, 1, 1)->inverted());
    expect(array_slice(Fixtures::pixel(ColourBands::turned($pixel, $degrees), 0, 0), 0, 3))->toEqualWithDelta($turned, 1.0)
        ->and(array_slice(Fixtures::pixel(ColourBands::saturated($pixel, $by), 0, 0), 0, 3))->toEqualWithDelta($saturated, 1.0);
})->with([
    // Worked by hand from the matrices; grey stays grey.
    ['#808080', 90.0, [128, 128, 128], 0.0, [128, 128, 128]], ['#ff0000', 0.0, [255, 0, 0], 1.0, [255, 0, 0]],
    ['#ff0000', 180.0, [0, 109, 109], 0.0, [54, 54, 54]], ['#336699', 120.0, [167, 72, 104], 0.5, [73, 98, 124]],
]);

it('numbers colours in five, six and five bits', function (): void {
    $pixels = Image::raw("\x00\x00\x00\xff"."\xff\xff\xff\xff"."\x08\x04\x08\xff"."\xb0\x4a\x2c\xff", 4, 1, 4);
    expect(array_values((array) unpack('v*', ColourBands::keyed($pixels)->operation('cast', [TallCrow\Raster\BandFormat::Short])->toBytes())))->toBe([0, 65_535, 1 << 11 | 1 << 5 | 1, (0xB0 >> 3) << 11 | (0x4A >> 2) << 5 | 0x2C >> 3]);
});

it('shifts colours by as much of a move as a mask says', function (): void {
    $pixels = Image::raw(str_repeat("\x64\x64\x64\xff", 3), 3, 1, 4);
    expect(ColourBands::shifted($pixels, Image::raw("\x00\x80\xff", 3, 1, 1), [51, -51, 200])->toBytes())->toBe("\x64\x64\x64\xff".chr(126).chr(74).chr(200)."\xff".chr(151).chr(49)."\xff\xff");
});

it('tints levels evenly from colour to colour, or in steps', function (): void {
    $levels = Image::raw("\x00\x3f\x40\x80\xc0\xff", 6, 1, 1);
    $colours = [Srgb::hex('#000000'), Srgb::hex('#80ff00'), Srgb::hex('#ffffff')];
    $running = str_split(Lookup::tinted($levels, $colours)->toBytes(), 3);
    expect(bin2hex($running[0]))->toBe('000000')->and(bin2hex($running[5]))->toBe('ffffff')->and(array_values((array) unpack('C*', $running[3])))->toEqualWithDelta([128, 255, 1], 1.5);
    expect(array_map(bin2hex(...), str_split(Lookup::tinted($levels, $colours, true)->toBytes(), 3)))->toBe(['000000', '000000', '000000', '80ff00', 'ffffff', 'ffffff'])
        ->and(bin2hex(Lookup::indexed(Image::raw("\x00\x02\x09", 3, 1, 1), $colours)->toBytes()))->toBe('000000ffffffffffff');
});

it('spreads levels over their whole range, and evens them out', function (): void {
    expect(Lookup::fullRange(Image::floats(pack('g*', -2.0, 0.0, 2.0, 6.0), 4, 1, 1))->toBytes())->toBe("\x00\x40\x80\xff");
    $even = array_values((array) unpack('C*', Lookup::equalised(Image::raw(implode('', array_map(fn (int $i): string => chr(100 + intdiv($i, 64)), range(0, 1023))), 32, 32, 1))->toBytes()));
    sort($even);
    // Sixteen levels, each as common: evened, they lie a sixteenth apart.
    expect(array_values(array_unique($even)))->toEqualWithDelta(array_map(fn (int $i): float => 255 * ($i + 1) / 16, range(0, 15)), 1.0);
});

// A bell has the weight one: an even picture stays even, at its own level.
it('leaves an even picture at its level, whatever the bell', function (float $sigma, float $tail): void {
    foreach ([1, 37, 128, 200, 255] as $level) {
        $even = Image::raw(str_repeat(chr($level), 40 * 40), 40, 40, 1);
        expect(Blur::gaussian($even, $sigma, $tail)->range())->toBe([(float) $level, (float) $level])
            ->and(Blur::wide($even, $sigma)->range())->toEqualWithDelta([(float) $level, (float) $level], 1.0);
    }
})->with([0.3, 0.5, 0.66, 0.99, 1.3, 2.0, 3.7, 5.0, 8.1])->with([0.2, 0.05, 0.01]);

it('finds the most common one of a square of neighbours, and the lowest of several that are as common', function (int $side): void {
    // Patches of few numbers with some strewn in, as colours of a picture lie.
    [$width, $height, $count] = [41, 33, 6];
    $numbers = array_map(fn (int $i): int => mt_rand(0, 9) < 6 ? intdiv($i % $width, 9) % $count : mt_rand(0, $count - 1), range(0, $width * $height - 1));
    $common = Morphology::commonest(Image::raw(implode('', array_map(chr(...), $numbers)), $width, $height, 1), $side, $count)->toBytes();
    $reach = intdiv($side, 2);
    for ($y = $reach; $y < $height - $reach; $y++) {
        for ($x = $reach; $x < $width - $reach; $x++) {
            $near = [];
            for ($row = $y - $reach; $row <= $y + $reach; $row++) {
                array_push($near, ...array_slice($numbers, $row * $width + $x - $reach, $side));
            }
            $many = array_count_values($near);
            expect(ord($common[$y * $width + $x]))->toBe(min(array_keys($many, max($many), true)));
        }
    }
})->with([3, 5, 7, 13]);

it('carries the colour of the ink beside it, not of what lies beyond that', function (float $pixels): void {
    // Clear, a rim of 12 pixels, and other ink within it; across, and from the corner.
    $side = 220;
    $bytes = '';
    for ($y = 0; $y < $side; $y++) {
        for ($x = 0; $x < $side; $x++) {
            $within = min($x - 100, $y - 100);
            $bytes .= $within < 0 ? "\0\0\0\0" : ($within < 12 ? "\xc0\x45\x2f\xff" : "\xef\xe6\xd2\xff");
        }
    }
    $carried = Blur::coloursExtended(Image::raw($bytes, $side, $side, 4)->asColours()->settled(), $pixels, [5, 2])->settled();
    for ($away = 1; $away < $pixels; $away++) {
        foreach ([[100 - $away, 180], [180, 100 - $away], [100 - (int) ($away * M_SQRT1_2), 100 - (int) ($away * M_SQRT1_2)]] as [$x, $y]) {
            $seen = array_values((array) unpack('C*', $carried->crop($x, $y, 1, 1)->band(0, 3)->toBytes()));
            expect(max(abs((int) $seen[0] - 0xC0), abs((int) $seen[1] - 0x45), abs((int) $seen[2] - 0x2F)))->toBeLessThan(8, "$away away at $x, $y");
        }
    }
})->with([3.0, 9.0, 27.0, 60.0]);

it('carries the colour of ink outwards to every side, whatever the size of the picture', function (int $width, int $height): void {
    // A bar of ink along the far edges, clear before.
    $bytes = '';
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $bytes .= $x >= $width - 6 || $y >= $height - 6 ? "\xb4\x46\x2c\xff" : "\0\0\0\0";
        }
    }
    foreach ([[0, 0], [3, -5]] as $at) {
        $carried = Blur::coloursExtended(Image::raw($bytes, $width, $height, 4)->asColours()->settled(), 12.0, $at);
        foreach ([[$width - 7, $height - 7], [$width - 12, $height - 9], [4, $height - 9], [$width - 9, 4], [$width - 1, $height - 1]] as [$x, $y]) {
            $seen = array_values((array) unpack('C*', $carried->crop($x, $y, 1, 1)->band(0, 3)->toBytes()));
            foreach ([0xB4, 0x46, 0x2C] as $band => $level) {
                expect(abs((int) $seen[$band] - $level))->toBeLessThan(4);
            }
        }
        expect($carried->alpha()->toBytes())->toBe(Image::raw($bytes, $width, $height, 4)->alpha()->toBytes());
    }
})->with([[40, 40], [43, 41], [46, 47]]);
