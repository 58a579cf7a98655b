<?php

declare(strict_types=1);

use TallCrow\Cutout\FlatField;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** The light on a page, as ImageMagick reckons it at each point from i and j, 1 being full. */
const UNEVEN_LIGHTS = [
    'from one side' => '1-0.55*i/w-0.15*j/h',
    'a lamp' => '0.35+0.6*exp(-((i/w-0.3)^2+(j/h-0.4)^2)/0.35)',
    'the shadow of a hand' => '(1-0.3*i/w)*(1-0.4/(1+exp(-(i/w+0.6*j/h-0.95)/0.03)))',
];

/** Drawn by ImageMagick; a picture of a page. */
function page_by(string $folder, string ...$how): Image
{
    Fixtures::run(['convert', '-size', '840x600', ...$how, '-depth', '8', "PNG32:$folder/made.png"]);

    return ImageFile::read(PictureType::Png, "$folder/made.png")->asInk()->settled();
}

/** @return list<string> 420 × 300 pixels: marks of a soft pencil and red chalk on paper, and a disc that is larger than any bell looks over */
function drawn_page(string $paper = '#e9e4da'): array
{
    return ["xc:$paper", '-fill', '#6f6c72', '-draw', 'circle 620,170 620,60', '-draw', 'rectangle 80,120 330,165', '-draw', 'roundrectangle 90,400 520,430 9,9', '-fill', '#b0604c', '-draw', 'polygon 120,340 210,220 300,340', '-draw', 'line 400,520 760,540', '-resize', '50%'];
}

/** @return array{float, float} the mean difference in levels, and the share of pixels off by more than ten in any band, grain averaged away by four pixels each way */
function off_truth(Image $picture, Image $truth): array
{
    $far = 0;
    $sum = 0;
    [$got, $want] = [str_split($picture->shrunk(4)->toBytes(), 4), str_split($truth->shrunk(4)->toBytes(), 4)];
    foreach ($got as $i => $pixel) {
        $off = array_map(fn (int $band): int => abs(ord($pixel[$band]) - ord($want[$i][$band])), [0, 1, 2]);
        $sum += array_sum($off) / 3;
        $far += max($off) > 10 ? 1 : 0;
    }

    return [$sum / count($got), $far / count($got)];
}

it('finds the page again that ImageMagick has put in uneven light, with the marks on it', function (string $light): void {
    $folder = Fixtures::temporary('light');
    $truth = page_by($folder, ...drawn_page());
    $photo = page_by($folder, ...drawn_page(), ...['-fx', "u*($light)", '-attenuate', '0.25', '-seed', '7', '+noise', 'Gaussian']);
    $even = FlatField::of($photo)?->evened($photo, 1.0)->settled() ?? $photo;
    // Brought to its best light, which is a little less than full: by as much as the middle of the paper tells.
    $paper = fn (Image $of): float => $of->crop(185, 120, 30, 30)->band(1)->mean();
    $level = $even->band(0, 3)->linear($paper($truth) / $paper($even))->linearByte(1.0)->withBand($even->alpha())->settled();
    [$before, $after] = [off_truth($photo, $truth), off_truth($level, $truth)];
    expect($before[0])->toBeGreaterThan(35.0)->and($after[0])->toBeLessThan(3.0)->and($after[1])->toBeLessThan(0.03);
})->with(array_values(UNEVEN_LIGHTS));

it('evens half as much when it is told to', function (): void {
    $photo = page_by(Fixtures::temporary('light'), ...drawn_page(), ...['-fx', 'u*('.UNEVEN_LIGHTS['from one side'].')']);
    $field = FlatField::of($photo);
    $at = fn (float $amount): float => (float) $field?->evened($photo, $amount)->settled()->crop(395, 150, 10, 10)->band(1)->mean();
    expect($at(0.0))->toBe($photo->crop(395, 150, 10, 10)->band(1)->mean())->and(abs($at(0.5) - ($at(0.0) + $at(1.0)) / 2))->toBeLessThan(1.0);
});

it('takes haze off a dark board and leaves the chalk on it its tones', function (): void {
    $folder = Fixtures::temporary('light');
    $board = ['xc:#141618', '-fill', '#9aa09c', '-draw', 'circle 620,170 620,60', '-fill', '#c8b070', '-draw', 'rectangle 80,120 330,165', '-resize', '50%'];
    $truth = page_by($folder, ...$board);
    $photo = page_by($folder, ...$board, ...['-fx', 'u+0.22*i/w']);
    $even = FlatField::of($photo)?->evened($photo, 1.0)->settled() ?? $photo;
    // Brought to the middle of the haze.
    $haze = $even->crop(185, 120, 30, 30)->band(1)->mean() - $truth->crop(185, 120, 30, 30)->band(1)->mean();
    [$before, $after] = [off_truth($photo, $truth), off_truth($even->band(0, 3)->linear(1.0, -$haze)->linearByte(1.0)->withBand($even->alpha())->settled(), $truth)];
    expect($before[1])->toBeGreaterThan(0.5)->and($after[0])->toBeLessThan(2.5)->and($after[1])->toBeLessThan(0.02);
});

it('leaves alone what has no smooth ground along its rim, and every alpha', function (string ...$how): void {
    $picture = page_by(Fixtures::temporary('light'), ...$how);
    expect(Fixtures::effect('even-light')->retouch($picture, 300)->settled()->toBytes())->toBe($picture->toBytes());
})->with([
    'a wood' => ['-seed', '5', 'plasma:#203010-#c0d080'],
    'a few pixels' => ['xc:#808080', '-resize', '7x5!'],
    'a thread' => ['xc:#808080', '-resize', '840x2!'],
    'already cut out' => ['xc:none', '-fill', '#6f6c72', '-draw', 'circle 420,300 420,160'],
]);

it('keeps the alpha of a page with a hole', function (): void {
    $page = page_by(Fixtures::temporary('light'), ...drawn_page(), ...['-fx', 'u*('.UNEVEN_LIGHTS['a lamp'].')']);
    $hole = $page->masked(Image::empty(100, 50, 1)->inverted()->embed(150, 130, 420, 300)->inverted());
    expect(FlatField::of($hole)?->evened($hole, 1.0)->settled()->alpha()->toBytes())->toBe($hole->alpha()->toBytes());
});
