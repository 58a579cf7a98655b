<?php

declare(strict_types=1);

use TallCrow\Cli\Materials;
use TallCrow\Colour\Srgb;
use TallCrow\Look\Dotted;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;
use TallCrow\Tests\WatchedStore;

// Dots are those of the print: a proof is the print averaged over blocks of its pixels, by the library's own shrinking.

/** @return array{float, float} mean difference of the samples on cloth, and the share that is off by more than 24 */
function apart_on_cloth(Image $one, Image $other, string $colour = '#3d4a57'): array
{
    $cloth = Srgb::hex($colour);
    [$a, $b] = [Composition::onCloth($one, $cloth)->toBytes(), Composition::onCloth($other, $cloth)->toBytes()];
    expect(strlen($a))->toBe(strlen($b));
    $sum = $far = 0;
    foreach (unpack('C*', $a) ?: [] as $i => $level) {
        $by = abs($level - ord($b[$i - 1]));
        $sum += $by;
        $far += $by > 24 ? 1 : 0;
    }

    return [$sum / strlen($a), $far / strlen($a)];
}

/** @param  list<array<string, mixed>>  $effects */
function dotted_pool(array $effects, float $ppi, array $more = [], float $width = 2.2): Image
{
    return Fixtures::render(Fixtures::artwork([[
        'id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => $width / 2 + 0.43, 'y' => $width / 2 + 0.91, 'width' => $width, 'height' => null], 'effects' => $effects,
        'masks' => [['kind' => 'ellipse', 'width' => 0.9, 'height' => 0.9, 'feather' => 0.7]], ...$more,
    ]], ['sheet' => ['width' => (int) ceil($width + 0.8) * 300, 'height' => (int) ceil($width + 1.8) * 300, 'ppi' => 300]]), $ppi);
}

it('shows in a proof the dots of the print', function (array $effect, float $ppi): void {
    $print = dotted_pool([$effect], 300);
    [$mean, $far] = apart_on_cloth(dotted_pool([$effect], $ppi), $print->shrunkInk((int) (300 / $ppi)));
    expect($mean)->toBeLessThan(0.3)->and($far)->toBeLessThan(0.0001)->and($print->alpha()->mean())->toBeGreaterThan(4.0);
})->with([
    'one ink' => [['kind' => 'halftone', 'lpi' => 32]],
    'lines' => [['kind' => 'halftone', 'lpi' => 24, 'dots' => 'line', 'angle' => 20]],
    'a dark ink' => [['kind' => 'halftone-inks', 'inks' => ['#17404a'], 'lpi' => 28]],
    'a photocopy' => [['kind' => 'photocopied', 'grain' => 0.3]],
    'a pale photocopy' => [['kind' => 'photocopied', 'parts' => 'light', 'colour' => '#f3ead7', 'grain' => 0]],
])->with([60.0, 75.0, 100.0]);

it('shows the dots of a large piece, drawn from coarser ink', function (array $effect): void {
    $print = dotted_pool([$effect], 300, width: 7.2);
    [$mean, $far] = apart_on_cloth(dotted_pool([$effect], 60, width: 7.2), $print->shrunkInk(5));
    expect($mean)->toBeLessThan(1.0)->and($far)->toBeLessThan(0.005)->and($print->alpha()->mean())->toBeGreaterThan(4.0);
})->with([
    'one ink' => [['kind' => 'halftone', 'lpi' => 32]],
    'a photocopy' => [['kind' => 'photocopied', 'grain' => 0.3]],
]);

it('keeps the edges of ringed words', function (array $effect, float $most): void {
    $words = Fixtures::words('line', 'KITES', 2.6, ['effects' => [['kind' => 'fill', 'colour' => '#c8452c'], ['kind' => 'outline', 'width' => 0.04, 'colour' => '#e9c46a'], $effect]]);
    $artwork = Fixtures::artwork([$words]);
    $print = Fixtures::render($artwork, 300);
    [$proof, $small] = [Fixtures::render($artwork, 60), $print->shrunkInk(5)];
    $far = max(apart_on_cloth($proof, $small)[1], apart_on_cloth($proof, $small, '#ffffff')[1]);
    expect($far / ($print->alpha()->mean() / 255))->toBeLessThan($most)->and($print->alpha()->mean())->toBeGreaterThan(10.0);
})->with([
    'a halftone' => [['kind' => 'halftone', 'lpi' => 28], 0.0005],
    'two inks' => [['kind' => 'halftone-inks', 'inks' => ['#1f1d1a', '#e9c46a'], 'lpi' => 30], 0.0005],
    'a photocopy' => [['kind' => 'photocopied'], 0.0005],
    'few colours' => [['kind' => 'posterised', 'count' => 4], 0.02],
    'a stamp' => [['kind' => 'stamped', 'amount' => 0.2, 'size' => 0.06], 0.01],
    'a swapped colour' => [['kind' => 'swap-colour', 'from' => '#e9c46a', 'to' => '#3f7f95', 'tolerance' => 10], 0.01],
    'rough edges' => [['kind' => 'roughened', 'by' => 0.026, 'size' => 0.2], 0.01],
]);

it('keeps the picture shrunk to the print\'s resolution, so that the next proof of its dots does not shrink it again', function (): void {
    $store = new WatchedStore(new NoPictures(Materials::kept()));
    $artwork = Fixtures::artwork([['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1.53, 'y' => 2.01, 'width' => 2.2, 'height' => null], 'effects' => [['kind' => 'halftone', 'lpi' => 32]]]]);
    (new Renderer(Fixtures::shelf(), $store))->picture($artwork, Frame::sheet($artwork->sheet, 60))->settled();
    // At 300 ppi for the dots, and at 60 for their colours.
    expect(array_count_values($store->asked)['shrunk'] ?? 0)->toBe(2);
});

it('puts what comes before the dots under them, and a layer\'s opacity', function (): void {
    $effects = [['kind' => 'hue', 'by' => 120, 'vivid' => 1.2], ['kind' => 'halftone', 'lpi' => 30]];
    $print = dotted_pool($effects, 300, ['opacity' => 0.6]);
    [$mean, $far] = apart_on_cloth(dotted_pool($effects, 60, ['opacity' => 0.6]), $print->shrunkInk(5));
    expect($mean)->toBeLessThan(1.0)->and($far)->toBeLessThan(0.002);
    // Fewer dots, none of them paler.
    expect($print->alpha()->area() / dotted_pool($effects, 300)->alpha()->area())->toEqualWithDelta(0.6, 0.03)
        ->and(array_values(array_unique(str_split($print->alpha()->toBytes()))))->toEqualCanonicalizing(["\0", "\xff"]);
});

it('mixes inks by the areas that are left of them', function (): void {
    // Blocks of 2 × 2: below red on three pixels; above it blue on two, one of which red has too.
    $below = Dotted::flat(Image::raw("\xff\xff\xff\x00", 2, 2, 1), Srgb::of(200, 0, 0));
    $above = Dotted::flat(Image::raw("\x00\x00\xff\xff", 2, 2, 1), Srgb::of(0, 0, 100));
    $nothing = fn (): Image => Image::empty(1, 1);
    expect(array_values((array) unpack('C4', Dotted::averaged([$below, $above], 2, 1, 1, $nothing)->toBytes())))->toEqualWithDelta([100, 0, 50, 255], 1)
        ->and(array_values((array) unpack('C4', Dotted::averaged([$below], 2, 1, 1, $nothing)->toBytes())))->toEqualWithDelta([200, 0, 0, 191], 1);
    $own = fn (): Image => Image::flat(Srgb::of(10, 20, 30), Image::raw("\x40", 1, 1, 1));
    expect(array_values((array) unpack('C4', Dotted::averaged([Dotted::inOwnColours(Image::raw("\xff\x00\x00\x00", 2, 2, 1))], 2, 1, 1, $own)->toBytes())))->toEqualWithDelta([10, 20, 30, 64], 1)
        ->and(Dotted::averaged([], 2, 1, 1, $nothing)->alpha()->mean())->toBe(0.0);
    $printed = Dotted::printed([$below, $above], Image::empty(2, 2))->toBytes();
    expect($printed)->toBe("\xc8\0\0\xff\xc8\0\0\xff\0\0\x64\xff\0\0\x64\xff")
        ->and(Dotted::printed([], Image::empty(2, 1))->toBytes())->toBe("\0\0\0\0\0\0\0\0");
});

it('draws the dots of a large piece in a proof that is only glanced at from fewer pixels, with the mean of the print', function (string $kind, float $lpi): void {
    $more = $kind === 'halftone' ? [] : ['inks' => ['#1f1d1a', '#c8452c', '#f3ead7']];
    $sheet = Fixtures::artwork([['effects' => [['kind' => 'gradient', 'colours' => ['#1f1d1a', '#f3ead7']], ['kind' => $kind, 'lpi' => $lpi] + $more], 'opacity' => 0.6, 'placement' => ['x' => 4, 'y' => 4, 'width' => 7, 'height' => null]] + Fixtures::shape('s', 'ellipse', 2.6)], ['sheet' => ['width' => 2400, 'height' => 2400, 'ppi' => 300]]);
    $print = Composition::premultiplied(Fixtures::render($sheet, 300))->linear(1.0)->shrunk(10)->settled();
    $off = Composition::premultiplied(Fixtures::render($sheet, 30))->linear(1.0)->minus($print)->settled();
    $share = $off->isMore(24.0)->either($off->linear(-1.0)->isMore(24.0))->mean() / 255;
    expect($share)->toBeLessThan(0.015)->and(abs($off->mean()))->toBeLessThan(1.0);
})->with(['halftone', 'halftone-inks'])->with([20.0, 35.0, 62.0]);
