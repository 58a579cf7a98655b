<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Colour\Srgb;
use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * Washes laid over one another while wet: each is darkest along the rim where its pigment gathered as it dried, runs from one colour into the next,
 * and lies thicker in the hollows of the paper.
 */
final class Watercolour implements Paper
{
    /** At which levels of the field a wash ends, and how much pigment each holds. */
    private const WASHES = [[58, 0.30], [104, 0.20], [150, 0.18], [196, 0.16]];

    /** How much stronger the rim is, and over how many levels it fades. */
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
        // The grain of the paper holds more in its hollows.
        $hollows = Field::grain($seed + 5, 1.8)->linearByte(0.3, 178)->settled()->tiled(0, 0, $wash->width(), $wash->height());
        $hue = Patchwork::wide(Lookup::equalised(Field::clouds($seed + 9, 800, 3)), $seed + 9, $across);
        $inks = array_values(array_filter($colours->atLeast(2), fn (int $i): bool => $i !== 1, ARRAY_FILTER_USE_KEY));
        $inked = Lookup::tinted($hue, [$inks[0], ...$inks])->linear(1.0);
        $paper = $colours->at(1);
        $share = $pigment->times($hollows)->settled()->linear(1 / 255);
        $bare = $share->linear(-1.0, 1.0);

        return $inked->multiplied($share)->plus($bare->linearBands(self::numbers($paper)))->linearByte(1.0)->asColours();
    }

    /** How much pigment lies at a level of the field, 0 to 255. */
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
