<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Likeness;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** A picture through ImageMagick, read back. */
function magicked(string $from, string $how, string $ending): Image
{
    $to = Fixtures::temporary('like')."/out.$ending";
    exec('convert '.escapeshellarg($from)." $how ".escapeshellarg($to), $lines, $code);
    assert($code === 0);

    return ImageFile::read($ending === 'jpg' ? PictureType::Jpeg : PictureType::Png, $to)->asInk()->settled();
}

it('finds the same picture in another size, quality and light, and tells others apart', function (): void {
    $photo = Fixtures::temporary('like').'/photo.png';
    exec('convert -size 400x300 -seed 5 plasma:fractal '.escapeshellarg($photo));
    $mark = Likeness::of(magicked($photo, '', 'png'));
    $near = fn (string $how, string $ending): int => Likeness::distance($mark, Likeness::of(magicked($photo, $how, $ending)));

    expect($mark)->toMatch('/^[0-9a-f]{16}$/')->and($near('-resize 37%', 'png'))->toBeLessThanOrEqual(Likeness::NEAR)->and($near('-quality 40', 'jpg'))->toBeLessThanOrEqual(Likeness::NEAR)
        ->and($near('-brightness-contrast 12', 'png'))->toBeLessThanOrEqual(Likeness::NEAR)->and($near('-flop', 'png'))->toBeGreaterThan(Likeness::NEAR * 2);
    exec('convert -size 400x300 -seed 77 plasma:fractal '.escapeshellarg($photo));
    expect($near('', 'png'))->toBeGreaterThan(Likeness::NEAR * 2);
});

it('counts the bits that differ', function (): void {
    expect(Likeness::distance('ffff000000000000', 'fffe000000000001'))->toBe(2)->and(Likeness::distance('0123456789abcdef', '0123456789abcdef'))->toBe(0)
        ->and(Likeness::of(Image::flat(Srgb::of(9, 9, 9), Image::empty(40, 30, 1))))->toBe('0000000000000000');
});

// Krawetz (2013): a bit for each of 8 × 8 steps, set where it grows lighter. Of 9 × 8 pixels each is a place of its own.
it('marks where the light grows from each place to the next, as two parts of red, seven of green and one of blue', function (): void {
    mt_srand(3);
    $pixels = array_map(fn (): array => [mt_rand(0, 255), mt_rand(0, 255), mt_rand(0, 255)], range(1, 72));
    $light = fn (int $at): int => 2 * $pixels[$at][0] + 7 * $pixels[$at][1] + $pixels[$at][2];
    $bits = '';
    for ($at = 0; $at < 72; $at++) {
        $bits .= $at % 9 === 8 ? '' : ($light($at) < $light($at + 1) ? '1' : '0');
    }
    $mark = implode('', array_map(fn (string $four): string => dechex((int) bindec($four)), str_split($bits, 4)));
    $bytes = implode('', array_map(fn (array $pixel): string => chr($pixel[0]).chr($pixel[1]).chr($pixel[2])."\xff", $pixels));
    expect(Likeness::of(Image::raw($bytes, 9, 8, 4)->asColours()))->toBe($mark);
    // Three times as large, only places that hardly differ may tip over.
    expect(Likeness::distance(Likeness::of(Image::raw($bytes, 9, 8, 4)->asColours()->zoomed(3)), $mark))->toBeLessThanOrEqual(Likeness::NEAR);
});
