<?php

declare(strict_types=1);

use TallCrow\Artwork\PrintMethod;
use TallCrow\Colour\Srgb;
use TallCrow\Preflight\HalftoneDots;
use TallCrow\Preflight\LineOrder;
use TallCrow\Preflight\Method;
use TallCrow\Preflight\MethodFits;
use TallCrow\Preflight\Rim;
use TallCrow\Preflight\Verdict;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/** A picture of 100 × 100 px, clear inside, whose rim is given clockwise from its upper left corner. @param  list<array{int, string, int}>  $runs  pixels, colour, alpha */
function rimmed(array $runs): Image
{
    $pixels = [];
    foreach ($runs as [$count, $hex, $alpha]) {
        $colour = Srgb::hex($hex);
        array_push($pixels, ...array_fill(0, $count, chr($colour->red).chr($colour->green).chr($colour->blue).chr($alpha)));
    }
    $bytes = array_fill(0, 100 * 100, "\0\0\0\0");
    foreach (array_pad($pixels, 396, "\0\0\0\0") as $i => $pixel) {
        [$side, $at] = [intdiv($i, 99), $i % 99];
        [$x, $y] = match ($side) {
            0 => [$at, 0],
            1 => [99, $at],
            2 => [99 - $at, 99],
            default => [0, 99 - $at],
        };
        $bytes[100 * $y + $x] = $pixel;
    }

    return Image::raw(implode('', $bytes), 100, 100, 4);
}

it('takes a rim for a background of which nine tenths are opaque and eight tenths of that alike', function (array $runs, bool $isBackground, bool $isCut): void {
    $rim = Rim::of(rimmed($runs));
    expect($rim->isBackground())->toBe($isBackground)->and($rim->isCut())->toBe($isCut);
})->with([
    'all of one colour' => [[[396, '#f0f0f0', 255]], true, false],
    'a little clear' => [[[364, '#f0f0f0', 255]], true, false],
    'more of it clear' => [[[344, '#f0f0f0', 255]], false, false],
    'a tenth of another colour' => [[[350, '#f0f0f0', 255], [46, '#203040', 255]], true, false],
    'a fifth and more of other colours' => [[[300, '#f0f0f0', 255], [96, '#203040', 255]], false, true],
    'not quite opaque' => [[[396, '#f0f0f0', 249]], false, false],
    'opaque enough' => [[[396, '#f0f0f0', 250]], true, false],
    'clear' => [[], false, false],
]);

it('takes colours of a rim for one that are alike by CIEDE2000', function (string $other, bool $isBackground): void {
    // Two thirds of one colour, a third of another.
    $off = Srgb::hex('#c0c0c0')->toLab()->difference(Srgb::hex($other)->toLab());
    expect($off < 6.0)->toBe($isBackground)->and(Rim::of(rimmed([[264, '#c0c0c0', 255], [132, $other, 255]]))->isBackground())->toBe($isBackground);
})->with([['#b8b8b8', true], ['#b3b3b3', true], ['#a8a8a8', false], ['#ffffff', false]]);

it('names the sides along which a picture ends in a straight line', function (int $opaque, array $sides): void {
    // From the upper left corner on along the top.
    expect(Rim::of(rimmed([[$opaque, '#203040', 255]]))->cutSides())->toBe($sides);
})->with([[50, []], [58, ['top']], [99, ['top']], [99 + 60, ['top', 'right']]]);

it('knows paper, white and black, from colours', function (string $hex, bool $isPaper): void {
    expect(Rim::of(rimmed([[396, $hex, 255]]))->isPaper())->toBe($isPaper);
})->with([['#ffffff', true], ['#f2f2f0', true], ['#000000', true], ['#0c0c0c', true], ['#e4e4e4', false], ['#202020', false], ['#fff0d0', false]]);

it('tells what it found in words', function (): void {
    $finding = fn (array $runs): array => [($found = Rim::of(rimmed($runs))->finding('k', 'Background', 'Moth'))->verdict, $found->figure];
    expect($finding([[396, '#f0f0f0', 255]]))->toBe([Verdict::Fail, 'background #f0f0f0'])->and($finding([[200, '#f0f0f0', 255], [196, '#203040', 255]]))->toBe([Verdict::Warn, 'square edges'])->and($finding([]))->toBe([Verdict::Pass, 'background off']);
});

it('warns of dots that a method does not hold in a quarter of the tones', function (string $name, float $share, Verdict $verdict): void {
    $method = PrintMethod::from($name);
    // A round dot fills a quarter of its cell at √(1 / π) / its width lines to the inch.
    $lpi = round($share * sqrt(1 / M_PI) / Method::of($method)->dot, 2);
    $sheet = Fixtures::artwork([ink_slab('p', 1, 1, 2, 2, more: ['effects' => [1 => ['kind' => 'halftone', 'lpi' => $lpi]]])], ['method' => $name]);
    expect($lpi)->toBeLessThan(75.0)->and(gauged(new HalftoneDots, $sheet)['dots:p']->verdict)->toBe($verdict);
})->with([['transfer', 0.95, Verdict::Pass], ['transfer', 1.05, Verdict::Warn], ['dtg', 0.95, Verdict::Pass], ['dtg', 1.05, Verdict::Warn]]);

it('feels a plate in a transfer from sixty square inches of one solid area on, and none where gaps let it breathe', function (float $side, float $gap, bool $isPlate): void {
    // Two halves of a square with a gap between them.
    $middle = 5.0;
    $sheet = Fixtures::artwork([ink_slab('a', $middle - $side / 2, 0.5, $middle - $gap / 2, 0.5 + $side), ink_slab('b', $middle + $gap / 2, 0.5, $middle + $side / 2, 0.5 + $side)], ['method' => 'transfer', 'sheet' => ['width' => 1000, 'height' => 1000, 'ppi' => 100]]);
    expect(isset(gauged(new MethodFits, $sheet, 60)['solid']))->toBe($isPlate);
})->with([[7.6, 0.0, false], [7.9, 0.0, true], [8.5, 0.3, false]]);

it('takes lines for being in the wrong order only where that is seen', function (float $bend, bool $isTold): void {
    $sheet = Fixtures::artwork([Fixtures::words('w', 'KITE DAY', 2.2, ['effects' => [1 => ['kind' => 'outline', 'width' => 0.06, 'colour' => '#b04a2c'], 2 => ['kind' => 'arch', 'bend' => $bend]]])]);
    expect(gauged(new LineOrder, $sheet) !== [])->toBe($isTold);
})->with([[0.5, true], [0.001, false]]);
