<?php

declare(strict_types=1);

namespace TallCrow\Noise;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Noise;

/** Noise fields for papers and wear: one 8-bit band, SIDE × SIDE pixels, that tiles without a seam. */
final class Field
{
    public const SIDE = 2400;

    /**
     * Fractal noise: several octaves, each finer and weaker than the one before.
     *
     * @param  int  $cell  cell size of the coarsest octave, a divisor of the tile
     */
    public static function clouds(int $seed, int $cell, int $octaves): Image
    {
        return self::grown(Lookup::fullRange(self::noise($seed, $cell, $octaves)));
    }

    /** Like clouds(), in 16 bits, for contour lines, which would show steps at 8 bits. */
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

    /** Blobs of about four sigma in size, with a uniform distribution of levels. */
    public static function grain(int $seed, float $sigma): Image
    {
        return Lookup::equalised(Lookup::fullRange(Noise::grain(self::SIDE, $sigma, $seed)));
    }

    /** Stretched noise of so many pixels each way, with a uniform distribution of levels. */
    public static function threads(int $seed, int $across, int $down): Image
    {
        [$columns, $rows] = [intdiv(self::SIDE, $across), intdiv(self::SIDE, $down)];
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));

        return Image::raw($random->getBytes(max(1, $columns * $rows)), $columns, $rows, 1)->zoomed($across, $down)->settled();
    }

    /**
     * Smooth horizontal strokes of random length: about so many across the tile, in so many rows, with a nearly uniform distribution of levels.
     */
    public static function strokes(int $seed, int $across, int $rows): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $margin = 4;
        $few = Image::raw($random->getBytes(max(1, $across * $rows)), $across, $rows, 1)->tiled($margin, $margin, $across + 2 * $margin, $rows + 2 * $margin);
        [$wide, $high] = [self::SIDE / $across, self::SIDE / $rows];

        return Lookup::equalised(Lookup::fullRange($few->linear(1.0)->resized($wide, $high)->crop((int) round($margin * $wide), (int) round($margin * $high), self::SIDE, self::SIDE)));
    }

    /** The largest divisor of the side that is not larger than the cell asked for, so that the field tiles. */
    private static function fitting(int $cell, int $side): int
    {
        for ($fits = max(1, $cell); $side % $fits !== 0; $fits--);

        return $fits;
    }

    /** Enlarges a tile by two, smoothly and without a seam. */
    private static function grown(Image $half): Image
    {
        $margin = 8;

        return Blur::gaussian($half->tiled($margin, $margin, $half->width() + 2 * $margin, $half->height() + 2 * $margin)
            ->zoomed(2), 1)->crop(2 * $margin, 2 * $margin, self::SIDE, self::SIDE)->settled();
    }
}
