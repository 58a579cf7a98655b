<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use TallCrow\Colour\Srgb;

/** Lookup tables. */
final class Lookup
{
    /**
     * Maps each 8-bit value by a table of 256.
     *
     * @param  list<int>  $table
     */
    public static function bytes(Image $image, array $table): Image
    {
        $lut = Image::raw(implode('', array_map(chr(...), $table)), 256, 1, 1);

        return $image->operation('maplut', [$lut]);
    }

    /**
     * One 8-bit band to several bands, by a table of 256 for each.
     *
     * @param  non-empty-list<list<int>>  $tables
     */
    public static function split(Image $image, array $tables): Image
    {
        $bytes = '';
        for ($value = 0; $value < 256; $value++) {
            foreach ($tables as $table) {
                $bytes .= chr($table[$value]);
            }
        }

        return $image->operation('maplut', [Image::raw($bytes, 256, 1, count($tables))]);
    }

    /**
     * Maps each 8-bit value by a table of 256 to 16 bits.
     *
     * @param  list<int>  $table
     */
    public static function bytesToShorts(Image $image, array $table): Image
    {
        return $image->operation('maplut', [Image::shorts(pack('v*', ...$table), 256)]);
    }

    /**
     * Maps 8-bit values to 16 bits, by a table of 256 for each band.
     *
     * @param  non-empty-list<list<int>>  $tables
     */
    public static function bandsToShorts(Image $image, array $tables): Image
    {
        $luts = array_map(fn (array $table): Image => Image::shorts(pack('v*', ...$table), 256), $tables);

        return $image->operation('maplut', [Image::of(Vips::image('bandjoin', [Boxed::images($luts)]))]);
    }

    /** Maps each 16-bit value by a table of 65,536 bytes. */
    public static function shortsToBytes(Image $image, string $table): Image
    {
        return $image->operation('maplut', [Image::raw($table, 65536, 1, 1)]);
    }

    /**
     * A colour map: levels of an 8-bit band, or of a 16-bit band in 256ths of a level, become the given colours at equal distances, as a gradient or in steps.
     *
     * @param  non-empty-list<Srgb>  $colours
     */
    public static function tinted(Image $image, array $colours, bool $stepped = false): Image
    {
        $last = count($colours) - 1;
        [$levels, $each] = $image->isShort() ? [65536, 256] : [256, 1];
        $bytes = '';
        for ($i = 0; $i < $levels; $i++) {
            $level = min(255, $i / $each);
            $at = $stepped ? min($last, (int) floor($level * ($last + 1) / 256)) : $level / 255 * $last;
            $from = (int) floor($at);
            $colour = $colours[$from]->mixed($colours[min($last, $from + 1)], $at - $from);
            $bytes .= chr($colour->red).chr($colour->green).chr($colour->blue);
        }

        return $image->operation('maplut', [Image::raw($bytes, $levels, 1, 3)])->asColours();
    }

    /**
     * The colour of each number: three bands.
     *
     * @param  list<Srgb>  $colours
     */
    public static function indexed(Image $image, array $colours): Image
    {
        $bytes = '';
        for ($i = 0; $i < 256; $i++) {
            $colour = $colours[min($i, count($colours) - 1)] ?? Srgb::of(0, 0, 0);
            $bytes .= chr($colour->red).chr($colour->green).chr($colour->blue);
        }

        return $image->operation('maplut', [Image::raw($bytes, 256, 1, 3)])->asColours();
    }

    /**
     * Applies a tone curve (0 to 1) to every colour sample; alpha is unchanged.
     *
     * @param  \Closure(float): float  $curve
     */
    public static function toned(Image $image, \Closure $curve): Image
    {
        $table = array_map(fn (int $level): int => (int) round(255 * min(1.0, max(0.0, $curve($level / 255)))), range(0, 255));

        return self::bytes($image->band(0, 3), $table)->asColours()->withBand($image->alpha());
    }

    /** Histogram equalisation: every value becomes equally common. */
    public static function equalised(Image $image): Image
    {
        return $image->settled()->operation('hist_equal');
    }

    /** Floating point to 8 bits, its whole range stretched over 0 to 255. */
    public static function fullRange(Image $image): Image
    {
        $settled = $image->settled();
        [$least, $most] = $settled->range();

        return $settled->linearByte(255 / max(1e-9, $most - $least), -$least * 255 / max(1e-9, $most - $least));
    }
}
