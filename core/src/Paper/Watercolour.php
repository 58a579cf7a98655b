<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Colour\Srgb;
use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * Washes painted over one another while wet: each is darkest along its rim, where pigment gathered in drying, flows from one colour into the next, and is
 * stronger in the hollows of the paper.
 */
final class Watercolour implements Paper
{
    /** For each wash: the field level at which it ends, and its amount of pigment. */
    private const WASHES = [[58, 0.30], [104, 0.20], [150, 0.18], [196, 0.16]];

    /** Additional pigment at the rim, and the number of levels over which it fades. */
    private const RIM = 0.55;

    private const FADE = 7.0;

    public static function kind(): string
    {
        return 'watercolour';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $wash = Patchwork::wide(Lookup::equalised(Field::clouds($seed, 600, 6)), $seed, $across);
        $pigment = Lookup::bytes($wash, array_map(self::pigment(...), range(0, 255)));
        // Pigment collects in the hollows of the paper's grain.
        $hollows = Field::grain($seed + 5, 1.8)->linearByte(0.3, 178)->settled()->tiled(0, 0, $wash->width(), $wash->height());
        $hue = Patchwork::wide(Lookup::equalised(Field::clouds($seed + 9, 800, 3)), $seed + 9, $across);
        $inks = array_values(array_filter($colours->atLeast(2), fn (int $i): bool => $i !== 1, ARRAY_FILTER_USE_KEY));
        $inked = Lookup::tinted($hue, [$inks[0], ...$inks])->linear(1.0);
        $paper = $colours->at(1);
        $share = $pigment->times($hollows)->settled()->linear(1 / 255);
        $bare = $share->linear(-1.0, 1.0);

        return $inked->multiplied($share)->plus($bare->linearBands(self::numbers($paper)))->linearByte(1.0)->asColours();
    }

    /** Amount of pigment (0 to 255) at a field level. */
    private static function pigment(int $level): int
    {
        $sum = 0.12;
        foreach (self::WASHES as [$from, $strong]) {
            $inside = $level - $from;
            $sum += $inside < -2 ? 0.0 : $strong * min(1.0, ($inside + 2) / 3) * (1 + self::RIM * exp(-max(0, $inside) / self::FADE));
        }

        return (int) round(255 * min(1.0, $sum));
    }

    /** @return list<float> */
    private static function numbers(Srgb $colour): array
    {
        return [(float) $colour->red, (float) $colour->green, (float) $colour->blue];
    }
}
