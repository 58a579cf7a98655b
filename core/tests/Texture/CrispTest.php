<?php

declare(strict_types=1);

use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Haze;
use TallCrow\Preflight\PictureSubject;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Tests\Fixtures;
use TallCrow\Texture\Catalogue;

// Half-transparent ink prints as haze: wear leaves none, however slowly its field runs.
it('leaves no haze, at any scale and share', function (string $texture, float $scale, float $amount): void {
    $picture = Fixtures::render(Fixtures::artwork([Fixtures::shape('p', 'rectangle', 2.6, more: ['placement' => ['height' => 3.4]])], ['distress' => [['texture' => $texture, 'amount' => $amount, 'seed' => 5, 'scale' => $scale]]]));
    $share = (float) (new Haze)->picture(new PictureSubject($picture, 300, [], HouseRule::Strict300, PrintArea::pixels('sheet', $picture->width(), $picture->height(), Ppi::of(300))))[0]->figure;
    // Our own limit for a sheet is half a hundredth of the ink.
    expect($share)->toBeLessThanOrEqual(0.1)->and($picture->alpha()->area() / (2.6 * 3.4 * 300 ** 2))->toEqualWithDelta(1 - $amount, 0.04);
})->with(array_keys(Catalogue::classes()))->with([[1.0, 0.05], [2.5, 0.15]]);

it('leaves no haze of a picture in greys either, even where it is as even as a wall', function (array $made, bool $inverted, float $scale): void {
    $folder = Fixtures::temporary('greys');
    Fixtures::run(['convert', '-size', '512x512', ...$made, "$folder/greys.png"]);
    $wear = ['texture' => 'picture', 'file' => 'greys.png', 'amount' => 0.15, 'scale' => $scale, 'inverted' => $inverted];
    $picture = Fixtures::render(Fixtures::artwork([Fixtures::shape('p', 'rectangle', 2.6, more: ['placement' => ['height' => 3.4]])], ['distress' => [$wear]]), 300, $folder);
    $share = (float) (new Haze)->picture(new PictureSubject($picture, 300, [], HouseRule::Strict300, PrintArea::pixels('sheet', $picture->width(), $picture->height(), Ppi::of(300))))[0]->figure;
    // An even grey thinned 13 to 100 % of the ink.
    expect($share)->toBeLessThanOrEqual(0.3)->and($picture->alpha()->area() / (2.6 * 3.4 * 300 ** 2))->toEqualWithDelta(0.85, 0.02);
})->with([
    'a wall of one grey' => [['xc:gray60']],
    'walls of three greys' => [['xc:gray70', '-fill', 'gray55', '-draw', 'rectangle 0,0 200,511', '-fill', 'gray62', '-draw', 'rectangle 300,100 511,400']],
    'a slow slope' => [['gradient:gray45-gray60']],
    'clouds of few greys' => [['-seed', '4', 'plasma:gray45-gray50', '-colorspace', 'gray', '-blur', '0x6', '-posterize', '12']],
])->with([[false, 1.0], [true, 2.0]]);

it('takes wide ramps as a whole or not at all, and leaves edges soft', function (): void {
    // From the left: none, an edge of two pixels, all, a ramp of twelve pixels.
    $row = [0, 0, 0, 0, 90, 170, 255, 255, 255, 255, 230, 210, 190, 170, 150, 130, 110, 90, 70, 50, 30, 10, 0, 0];
    $image = Image::raw(str_repeat(implode('', array_map(chr(...), $row)), 9), count($row), 9, 1);
    $crisp = array_values((array) unpack('C*', Morphology::crisp($image)->crop(0, 4, count($row), 1)->toBytes()));
    expect(array_slice($crisp, 0, 10))->toBe(array_slice($row, 0, 10))->and(array_slice($crisp, 10, 12))->toBe([255, 255, 255, 255, 255, 255, 0, 0, 0, 0, 0, 0]);
});

it('takes marks that are thinner than a pixel whole or not at all, and gaps between marks likewise', function (): void {
    $of = function (array $row): array {
        $image = Image::raw(str_repeat(implode('', array_map(chr(...), $row)), 9), count($row), 9, 1);

        return array_values((array) unpack('C*', Morphology::crisp($image)->crop(0, 4, count($row), 1)->toBytes()));
    };
    expect($of([0, 0, 0, 0, 120, 0, 0, 0, 0, 0, 140, 30, 0, 0, 0]))->toBe([0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 255, 0, 0, 0, 0])
        ->and($of([255, 255, 255, 120, 255, 255, 255, 255, 255, 150, 255, 255, 255]))->toBe([255, 255, 255, 0, 255, 255, 255, 255, 255, 255, 255, 255, 255]);
});

it('prints no pale threads: part-inked pixels lie between ink and cloth', function (string $texture): void {
    $picture = Fixtures::render(Fixtures::artwork([Fixtures::shape('p', 'rectangle', 2.6, more: ['placement' => ['height' => 3.4]])], ['distress' => [['texture' => $texture, 'amount' => 0.14, 'seed' => 5]]]));
    $alpha = $picture->alpha()->settled();
    // ImageMagick's lowest and highest value within two pixels.
    $folder = Fixtures::temporary('threads');
    file_put_contents("$folder/alpha.gray", $alpha->toBytes());
    $about = fn (string $which): string => Fixtures::run(['convert', '-size', $alpha->width().'x'.$alpha->height(), '-depth', '8', "gray:$folder/alpha.gray", '-statistic', $which, '5x5', 'gray:-']);
    [$own, $low, $high] = array_map(fn (string $bytes): array => array_values((array) unpack('C*', $bytes)), [$alpha->toBytes(), $about('Minimum'), $about('Maximum')]);
    $threads = 0;
    foreach ($own as $i => $level) {
        $threads += $level > 25 && $level < 230 && ($low[$i] > 8 || $high[$i] < 247) ? 1 : 0;
    }
    // Up to 2 % of the ink before it was looked at. Chips are cut into the ink's own soft edges.
    expect($threads / ($alpha->area() + 1))->toBeLessThan($texture === 'chipped-edges' ? 0.002 : 1e-4);
})->with(array_keys(Catalogue::classes()));
