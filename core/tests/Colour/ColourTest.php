<?php

declare(strict_types=1);

use TallCrow\Colour\Contrast;
use TallCrow\Colour\Lab;
use TallCrow\Colour\Srgb;
use TallCrow\Colour\UnreadableColour;

// Test data of Sharma, Wu and Dalal, "The CIEDE2000 Color-Difference Formula", Color Research and Application 30 (2005),
// table 1; the figures are written down from memory.
it('agrees with the published CIEDE2000 pairs', function (float $l1, float $a1, float $b1, float $l2, float $a2, float $b2, float $difference): void {
    $one = new Lab($l1, $a1, $b1);
    $other = new Lab($l2, $a2, $b2);
    expect($one->difference($other))->toEqualWithDelta($difference, 0.00005)
        ->and($other->difference($one))->toEqualWithDelta($difference, 0.00005)
        ->and($one->isWithin($difference + 0.001, $other))->toBeTrue()
        ->and($one->isWithin($difference - 0.001, $other))->toBeFalse();
})->with([
    [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
    [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
    [50, 2.8361, -74.0200, 50, 0, -82.7485, 3.4412],
    [50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0000],
    [50, -1.1848, -84.8006, 50, 0, -82.7485, 1.0000],
    [50, -0.9009, -85.5211, 50, 0, -82.7485, 1.0000],
    [50, 0, 0, 50, -1, 2, 2.3669],
    [50, 2.4900, -0.0010, 50, -2.4900, 0.0009, 7.1792],
    [50, 2.4900, -0.0010, 50, -2.4900, 0.0010, 7.1792],
    [50, 2.4900, -0.0010, 50, -2.4900, 0.0011, 7.2195],
    [50, 2.4900, -0.0010, 50, -2.4900, 0.0012, 7.2195],
    [50, -0.0010, 2.4900, 50, 0.0009, -2.4900, 4.8045],
    [50, -0.0010, 2.4900, 50, 0.0011, -2.4900, 4.7461],
    [50, 2.5, 0, 50, 0, -2.5, 4.3065],
    [50, 2.5, 0, 73, 25, -18, 27.1492],
    [50, 2.5, 0, 61, -5, 29, 22.8977],
    [50, 2.5, 0, 56, -27, -3, 31.9030],
    [50, 2.5, 0, 58, 24, 15, 19.4535],
    [50, 2.5, 0, 50, 3.1736, 0.5854, 1.0000],
    [50, 2.5, 0, 50, 3.2972, 0, 1.0000],
    [50, 2.5, 0, 50, 1.8634, 0.5757, 1.0000],
    [50, 2.5, 0, 50, 3.2592, 0.3350, 1.0000],
    [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
    [63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.2630],
    [61.2901, 3.7196, -5.3901, 61.4292, 2.2480, -4.9620, 1.8731],
    [35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
    [22.7233, 20.0904, -46.6940, 23.0331, 14.9730, -42.5619, 2.0373],
    [36.4612, 47.8580, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
    [90.8027, -2.0831, 1.4410, 91.1528, -1.6435, 0.0447, 1.4441],
    [90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381],
    [6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377],
    [2.0776, 0.0795, -1.1350, 0.9033, -0.0636, -0.5514, 0.9082],
]);

it('tells colours that lie as far apart in lightness as a difference allows', function (float $l): void {
    [$one, $other] = [new Lab($l, 4, 9), new Lab($l + ($l < 50 ? -4.9 : 4.9), 4, 9)];
    // By the published weight of lightness, SL = 1 + 0.015 (L − 50)² / √(20 + (L − 50)²), about 1.7 here.
    $mean = ($one->l + $other->l) / 2;
    $off = 4.9 / (1 + 0.015 * ($mean - 50) ** 2 / sqrt(20 + ($mean - 50) ** 2));
    expect($off)->toBeLessThan(3.0)->and($one->isWithin(3.0, $other))->toBeTrue()->and($one->isWithin($off - 0.01, $other))->toBeFalse();
})->with([5.0, 95.0]);

// The npm package culori 4.0.2 as the second opinion: CIEDE2000 and the WCAG contrast of 120 pairs of sRGB colours, kept as a fixture.
it('agrees with a colour library on sRGB colours', function (): void {
    /** @var list<array{string, string, float, float}> $pairs */
    $pairs = json_decode((string) file_get_contents(dirname(__DIR__).'/fixtures/colour-pairs.json'), true, flags: JSON_THROW_ON_ERROR);
    expect($pairs)->toHaveCount(120);
    foreach ($pairs as [$a, $b, $difference, $contrast]) {
        [$one, $other] = [Srgb::hex($a), Srgb::hex($b)];
        // The library's sRGB matrix has more decimals than the standard's own.
        expect($one->toLab()->difference($other->toLab()))->toEqualWithDelta($difference, 0.02, "$a $b")
            ->and(Contrast::ratio($one, $other))->toEqualWithDelta($contrast, 0.001);
    }
});

// WCAG 2.2, success criterion 1.4.3 and its definition of contrast ratio.
it('finds the contrast that WCAG defines', function (): void {
    expect(Contrast::ratio(Srgb::hex('#000'), Srgb::hex('#fff')))->toEqualWithDelta(21.0, 1e-9)
        ->and(Contrast::ratio(Srgb::hex('#777777'), Srgb::hex('#ffffff')))->toEqualWithDelta(4.48, 0.005)
        ->and(Contrast::ratio(Srgb::hex('#abcdef'), Srgb::hex('#abcdef')))->toBe(1.0);
});

it('reads and writes hex colours', function (): void {
    expect(Srgb::hex('#1D2b1f')->toHex())->toBe('#1d2b1f')->and(Srgb::hex('fa0')->toHex())->toBe('#ffaa00');
});

it('refuses what is no colour', function (string $text): void {
    Srgb::hex($text);
})->with(['', 'red', '#12345', '#gggggg', 'url(x)'])->throws(UnreadableColour::class, 'Write it as # and six digits');

it('holds channels of 0 to 255', function (int $red, int $green, int $blue): void {
    expect(fn () => Srgb::of($red, $green, $blue))->toThrow(UnreadableColour::class);
})->with([[-1, 0, 0], [0, -1, 0], [0, 0, -1], [256, 0, 0], [0, 256, 0], [0, 0, 256]]);

it('mixes colours channel by channel', function (float $share, string $made): void {
    expect(Srgb::of(0, 0, 0)->toHex())->toBe('#000000')->and(Srgb::of(255, 255, 255)->toHex())->toBe('#ffffff')
        ->and(Srgb::of(10, 100, 200)->mixed(Srgb::of(20, 60, 201), $share)->toHex())->toBe($made);
})->with([
    'none' => [0.0, '#0a64c8'], 'all' => [1.0, '#143cc9'], 'a quarter, rounded' => [0.25, '#0d5ac8'], 'nearly half' => [0.46, '#0f52c8'], 'more than all' => [3.0, '#143cc9'], 'less than none' => [-1.0, '#0a64c8'],
]);
