<?php

declare(strict_types=1);

namespace TallCrow\Noise;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Noise;

/** Fields of noise that papers and wear grow from: one 8-bit band, SIDE pixels square, that meets itself at the edges. */
final class Field
{
    public const SIDE = 2400;

    /**
     * Noise of several sizes over one another, the finer the weaker.
     *
     * @param  int  $cell  of the coarsest, a whole part of the tile
     */
    public static function clouds(int $seed, int $cell, int $octaves): Image
    {
        return self::grown(Lookup::fullRange(self::noise($seed, $cell, $octaves)));
    }

    /** As clouds(), in 16 bits: between two levels of 8 bits, what runs along them would end in steps. */
    public static function swells(int $seed, int $cell, int $octaves): Image
    {
        $noise = self::noise($seed, $cell, $octaves)->settled();
        [$least, $most] = $noise->range();
        $by = 65535 / max(1e-9, $most - $least);

        return self::grown($noise->linear($by, -$least * $by))->linearShort(1, 0)->settled();
    }

    private static function noise(int $seed, int $cell, int $octaves): Image
    {
        $side = intdiv(self::SIDE, 2);
        $cell = intdiv($cell, 2);
        $sum = Noise::gradient($side, $side, $cell, $seed);
        for ($i = 1; $i < $octaves; $i++) {
            $sum = $sum->plus(Noise::gradient($side, $side, self::fitting($cell >> $i, $side), $seed + $i * 97)->linear(0.5 ** $i));
        }

        return $sum;
    }

    /** Blobs of about four sigma, evenly spread over all levels. */
    public static function grain(int $seed, float $sigma): Image
    {
        return Lookup::equalised(Lookup::fullRange(Noise::grain(self::SIDE, $sigma, $seed)));
    }

    /** Threads of so many pixels each way, every level as common as any other. */
    public static function threads(int $seed, int $across, int $down): Image
    {
        [$columns, $rows] = [intdiv(self::SIDE, $across), intdiv(self::SIDE, $down)];
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));

        return Image::raw($random->getBytes(max(1, $columns * $rows)), $columns, $rows, 1)->zoomed($across, $down)->settled();
    }

    /**
     * Smooth strokes along the rows: so many of random length across the tile and so many rows of them, every level about as common.
     */
    public static function strokes(int $seed, int $across, int $rows): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $margin = 4;
        $few = Image::raw($random->getBytes(max(1, $across * $rows)), $across, $rows, 1)->tiled($margin, $margin, $across + 2 * $margin, $rows + 2 * $margin);
        [$wide, $high] = [self::SIDE / $across, self::SIDE / $rows];

        return Lookup::equalised(Lookup::fullRange($few->linear(1.0)->resized($wide, $high)->crop((int) round($margin * $wide), (int) round($margin * $high), self::SIDE, self::SIDE)));
    }

    /** The largest cell, no larger than asked for, of which a whole number make the side: of others the field would not meet itself. */
    private static function fitting(int $cell, int $side): int
    {
        for ($fits = max(1, $cell); $side % $fits !== 0; $fits--);

        return $fits;
    }

    /** From half the tile's size to all of it, smoothly and without a seam. */
    private static function grown(Image $half): Image
    {
        $margin = 8;

        return Blur::gaussian($half->tiled($margin, $margin, $half->width() + 2 * $margin, $half->height() + 2 * $margin)
            ->zoomed(2), 1)->crop(2 * $margin, 2 * $margin, self::SIDE, self::SIDE)->settled();
    }
}
