<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Every sum on pictures against the same sum on numbers, sample by sample. */
const ACROSS = 16;
const DOWN = 12;

/** @return list<int> samples of a picture of that size, by a chance that its number fixes; its corners are 0 and 255 */
function samplesByChance(int $number, int $bands = 1): array
{
    $random = new Random\Randomizer(new Random\Engine\Xoshiro256StarStar($number));
    $samples = [0, 255];
    while (count($samples) < ACROSS * DOWN * $bands) {
        $samples[] = $random->getInt(0, 255);
    }

    return $samples;
}

/** @param  list<int>  $samples */
function pictured(array $samples, int $bands = 1): Image
{
    return Image::raw(implode('', array_map(chr(...), $samples)), ACROSS, DOWN, $bands)->settled();
}

/** @return list<int> */
function levels(Image $image): array
{
    return array_map(ord(...), str_split($image->toBytes()));
}

$rounded = fn (float $level): int => (int) floor(min(255.0, max(0.0, $level)) + 0.5);

it('reckons two masks sample by sample', function (Closure $drawn, Closure $told, int $off): void {
    [$one, $other] = [samplesByChance(1), samplesByChance(2)];
    $found = levels($drawn(pictured($one), pictured($other)));
    foreach ($one as $i => $level) {
        expect($found[$i])->toEqualWithDelta($told($level, $other[$i]), $off);
    }
})->with([
    'the larger' => [fn (Image $a, Image $b): Image => $a->lighter($b), fn (int $a, int $b): int => max($a, $b), 0],
    'the lesser' => [fn (Image $a, Image $b): Image => $a->lesser($b), fn (int $a, int $b): int => min($a, $b), 0],
    'what both let through' => [fn (Image $a, Image $b): Image => $a->times($b), fn (int $a, int $b): float => $a * $b / 255, 1],
    'more than the other' => [fn (Image $a, Image $b): Image => $a->isMore($b), fn (int $a, int $b): int => $a > $b ? 255 : 0, 0],
    'a sum' => [fn (Image $a, Image $b): Image => $a->plus($b)->linearByte(0.5), fn (int $a, int $b): int => (int) floor(($a + $b) / 2 + 0.5), 0],
    'a difference' => [fn (Image $a, Image $b): Image => $a->minus($b)->linearByte(0.5, 127.0), fn (int $a, int $b): int => (int) floor(($a - $b) / 2 + 127 + 0.5), 0],
    'a product' => [fn (Image $a, Image $b): Image => $a->multiplied($b)->linearByte(1 / 255), fn (int $a, int $b): int => (int) floor($a * $b / 255 + 0.5), 1],
    'a quotient' => [fn (Image $a, Image $b): Image => $a->divided($b->linear(1.0, 1.0))->linearByte(1.0), fn (int $a, int $b): int => (int) floor($a / ($b + 1) + 0.5), 1],
]);

it('reckons one mask sample by sample', function (Closure $drawn, Closure $told): void {
    $levels = samplesByChance(3);
    $found = levels($drawn(pictured($levels)));
    foreach ($levels as $i => $level) {
        expect($found[$i])->toBe($told($level));
    }
})->with([
    'the other way about' => [fn (Image $a): Image => $a->inverted(), fn (int $a): int => 255 - $a],
    'by a factor, and more' => [fn (Image $a): Image => $a->linearByte(0.75, 10.0), fn (int $a): int => $rounded(0.75 * $a + 10)],
    'no more than full' => [fn (Image $a): Image => $a->linearByte(3.0, -100.0), fn (int $a): int => $rounded(3.0 * $a - 100)],
    'shares as levels' => [fn (Image $a): Image => $a->linear(1 / 255)->unitToByte(), fn (int $a): int => $a],
    'raised' => [fn (Image $a): Image => $a->linear(1 / 255)->raised(2.0)->unitToByte(), fn (int $a): int => $rounded(255 * ($a / 255) ** 2)],
    'less than' => [fn (Image $a): Image => $a->isLess(100.0), fn (int $a): int => $a < 100 ? 255 : 0],
    'more than' => [fn (Image $a): Image => $a->isMore(100.0), fn (int $a): int => $a > 100 ? 255 : 0],
    'just so much' => [fn (Image $a): Image => $a->isEqual(255.0), fn (int $a): int => $a === 255 ? 255 : 0],
    'by a table' => [fn (Image $a): Image => Lookup::bytes($a, array_map(fn (int $level): int => ($level * 7) % 256, range(0, 255))), fn (int $a): int => ($a * 7) % 256],
]);

it('takes conditions together, and one picture or another by them', function (): void {
    [$one, $other] = [samplesByChance(4), samplesByChance(5)];
    [$isHigh, $isLow] = [pictured($one)->isMore(90.0), pictured($one)->isLess(160.0)];
    $both = levels($isHigh->both($isLow));
    $either = levels(pictured($one)->isLess(30.0)->either(pictured($one)->isMore(200.0)));
    $chosen = levels($isHigh->chosen(pictured($other), pictured($one)));
    foreach ($one as $i => $level) {
        expect($both[$i])->toBe($level > 90 && $level < 160 ? 255 : 0)
            ->and($either[$i])->toBe($level < 30 || $level > 200 ? 255 : 0)
            ->and($chosen[$i])->toBe($level > 90 ? $other[$i] : $level);
    }
});

it('tells the mean, the spread, the range and the area of samples', function (): void {
    $levels = samplesByChance(6);
    $mean = array_sum($levels) / count($levels);
    $spread = sqrt(array_sum(array_map(fn (int $level): float => ($level - $mean) ** 2, $levels)) / (count($levels) - 1));
    $image = pictured($levels);
    expect($image->mean())->toEqualWithDelta($mean, 1e-9)->and($image->deviation())->toEqualWithDelta($spread, 1e-6)
        ->and($image->range())->toBe([0.0, 255.0])->and($image->area())->toEqualWithDelta(array_sum($levels) / 255, 1e-9);
});

it('weighs alpha by a mask and leaves colours as they are', function (): void {
    [$ink, $mask] = [samplesByChance(7, 4), samplesByChance(8)];
    $found = levels(pictured($ink, 4)->asColours()->masked(pictured($mask)));
    foreach ($mask as $i => $level) {
        expect(array_slice($found, 4 * $i, 3))->toBe(array_slice($ink, 4 * $i, 3))->and($found[4 * $i + 3])->toEqualWithDelta($ink[4 * $i + 3] * $level / 255, 1);
    }
});

it('makes several bands of one, by a factor or a table for each', function (): void {
    $levels = samplesByChance(9);
    $scaled = levels(pictured($levels)->linearBands([1.0, 0.5, 0.25])->linearByte(1.0));
    $split = levels(Lookup::split(pictured($levels), [range(0, 255), array_fill(0, 256, 9), array_reverse(range(0, 255))]));
    foreach ($levels as $i => $level) {
        expect(array_slice($scaled, 3 * $i, 3))->toBe([$level, (int) floor($level / 2 + 0.5), (int) floor($level / 4 + 0.5)])
            ->and(array_slice($split, 3 * $i, 3))->toBe([$level, 9, 255 - $level]);
    }
});

it('gives each number its colour, and the last to what is beyond', function (): void {
    $numbers = array_map(fn (int $level): int => $level % 4, samplesByChance(10));
    $colours = [Srgb::of(1, 2, 3), Srgb::of(40, 50, 60), Srgb::of(200, 210, 220)];
    $found = levels(Lookup::indexed(pictured($numbers), $colours));
    foreach ($numbers as $i => $number) {
        $colour = $colours[min(2, $number)];
        expect(array_slice($found, 3 * $i, 3))->toBe([$colour->red, $colour->green, $colour->blue]);
    }
});

it('tones colours by a curve within 0 and 1, and leaves alpha', function (): void {
    $ink = samplesByChance(11, 4);
    $found = levels(Lookup::toned(pictured($ink, 4)->asColours(), fn (float $share): float => 1.5 * $share - 0.2));
    foreach ($ink as $i => $level) {
        expect($found[$i])->toBe($i % 4 === 3 ? $level : (int) round(255 * min(1.0, max(0.0, 1.5 * $level / 255 - 0.2))));
    }
});
