<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Shapes in masks: eroded, dilated, flooded, told apart. */
final class Morphology
{
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

    /** Each pixel becomes the middle one of its square of neighbours. */
    public static function middle(Image $image, int $side): Image
    {
        return $image->operation('rank', [$side, $side, intdiv($side * $side, 2)]);
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
        Vips::operate('labelregions', [$image, \FFI::addr($mask)]);
        $numbered = Image::of($mask)->settled();

        return [$numbered, (int) $numbered->range()[1]];
    }
}
