<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Shapes in masks: eroded, dilated, flooded, told apart. */
final class Morphology
{
    /** Pixels: the most that a square of neighbours counts must go into a byte. */
    public const MOST_SIDE = 15;

    /** Bands that are counted in one pass. */
    private const AT_ONCE = 4;

    /** Each pixel becomes the least of its square of neighbours. */
    public static function eroded(Image $image, int $side = 3): Image
    {
        return $image->operation('rank', [$side, $side, 0]);
    }

    /** Each pixel becomes the largest of its square of neighbours. */
    public static function dilated(Image $image, int $side = 3): Image
    {
        return $image->operation('rank', [$side, $side, $side * $side - 1]);
    }

    /** Of a mask of 0 and 255, what a square of that side fits into at every place: as eroded(), and many times quicker. */
    public static function worn(Image $mask, int $side = 3): Image
    {
        return self::swept($mask, $side, 0);
    }

    /** Of a mask of 0 and 255, what a square of that side touches: as dilated(), and many times quicker. */
    public static function grown(Image $mask, int $side = 3): Image
    {
        return self::swept($mask, $side, 1);
    }

    /** What of a mask a square of that side can paint from within (Serra, 1982). */
    public static function opened(Image $mask, int $side): Image
    {
        return self::grown(self::worn($mask, $side), $side);
    }

    /** Along rows, then along columns: a square is both. */
    private static function swept(Image $mask, int $side, int $how): Image
    {
        $side = max(1, $side);
        $row = Image::of(Vips::matrix([array_fill(0, $side, 255.0)]));
        $column = Image::of(Vips::matrix(array_fill(0, $side, [255.0])));

        return $mask->operation('morph', [$row, $how])->operation('morph', [$column, $how]);
    }

    /**
     * Each pixel becomes the middle one of its square of neighbours. The library's own ranking of larger squares errs where many are alike, so
     * those that are no larger are counted, number by number.
     *
     * @param  Image  $image  one 8-bit band of numbers from 0, settled
     * @param  int  $side  odd, up to MOST_SIDE
     * @param  int  $count  how many numbers there are
     */
    public static function middle(Image $image, int $side, int $count): Image
    {
        $ones = Image::of(Vips::matrix([array_fill(0, max(1, $side), 1.0)]));
        $middle = Image::empty($image->width(), $image->height(), 1);
        for ($first = 1; $first < $count; $first += self::AT_ONCE) {
            $bounds = range($first, min($count, $first + self::AT_ONCE) - 1);
            // The middle is as many as the bounds below which lie no more than half of the neighbours: a band for each bound, their mean the share of them.
            $isLess = Lookup::split($image, array_map(fn (int $bound): array => array_map(fn (int $number): int => $number < $bound ? 1 : 0, range(0, 255)), $bounds));
            $less = $isLess->operation('convsep', [$ones], ['precision' => Precision::Integer]);
            $passed = Lookup::bytes($less, array_map(fn (int $many): int => $many > intdiv($side ** 2, 2) ? 0 : 255, range(0, 255)));
            $share = count($bounds) === 1 ? $passed : $passed->operation('bandmean');
            $middle = $middle->plus(Lookup::bytes($share, array_map(fn (int $level): int => (int) round($level * count($bounds) / 255), range(0, 255))))->linearByte(1.0)->settled();
        }

        return $middle;
    }

    /** Every pixel of the value at the corner that is joined to it takes another value. */
    public static function flooded(Image $image, float $value): Image
    {
        $copy = $image->settled();
        Vips::operate('draw_flood', [$copy, Boxed::doubles([$value]), 0, 0], ['equal' => true]);

        return $copy;
    }

    /**
     * Regions of one value, each with a number of its own from 1 on, and how many there are.
     *
     * @return array{Image, int}
     */
    public static function regions(Image $image): array
    {
        $mask = Vips::library()->new('VipsImage *');
        assert($mask instanceof \FFI\CData);
        $count = Vips::library()->new('int');
        assert($count instanceof \FFI\CData);
        Vips::operate('labelregions', [$image, \FFI::addr($mask)], ['segments' => \FFI::addr($count)]);

        // What it tells as its segments is one more than the last number.
        return [Image::of($mask)->settled(), $count->cdata - 1];
    }
}
