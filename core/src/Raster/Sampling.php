<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Pictures looked at in places, not averaged. */
final class Sampling
{
    /** A picture of fewer pixels, each of which is one of those that it stands for, by chance. */
    public static function jittered(Image $image, int $width, int $height, int $seed): Image
    {
        return self::nearest($image, self::scattered($image, $width, $height, $seed));
    }

    /** The same of a picture that is to be set larger: what lies between its pixels counts as it does there. */
    public static function jitteredBetween(Image $image, int $width, int $height, int $seed): Image
    {
        // The library counts from the middle of the first pixel.
        return self::at($image, self::scattered($image, $width, $height, $seed)->linear(1.0, -0.5), 'bicubic');
    }

    /** One place of the picture in each of so many parts of it: two bands. */
    private static function scattered(Image $image, int $width, int $height, int $seed): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $chance = Image::raw($random->getBytes(max(1, 2 * $width * $height)), $width, $height, 2)->linear(1 / 256);

        return self::places($width, $height)->plus($chance)->linearBands([$image->width() / $width, $image->height() / $height]);
    }

    /** A picture whose pixels are taken from where two bands of floating point say, in pixels of the source; the nearest is taken. */
    public static function nearest(Image $image, Image $places): Image
    {
        return self::at($image, $places, 'nearest');
    }

    private static function at(Image $image, Image $places, string $how): Image
    {
        $interpolate = Vips::run('vips_interpolate_new', $how);
        try {
            return $image->operation('mapim', [$places], ['interpolate' => $interpolate, 'extend' => Extend::Copy, 'premultiplied' => true]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /**
     * A window of one band on a grid so many times as fine as the picture's, straight between its pixels.
     *
     * @param  float  $by  new pixels for each of the picture's, from about 0.5
     * @param  array{int, int}  $from  place of the picture's first pixel on its own grid
     * @param  array{int, int}  $at  place of the window's first pixel on the new grid
     */
    public static function regridded(Image $image, float $by, array $from, array $at, int $width, int $height): Image
    {
        $interpolate = Vips::run('vips_interpolate_new', 'bilinear');
        // The library counts from the middle of the first pixel, grids meet at their edges.
        $middle = ($by - 1) / 2;
        try {
            return $image->operation('affine', [Boxed::doubles([$by, 0.0, 0.0, $by])], [
                'interpolate' => $interpolate,
                'odx' => $from[0] * $by + $middle,
                'ody' => $from[1] * $by + $middle,
                'oarea' => Boxed::integers([$at[0], $at[1], $width, $height]),
                'extend' => Extend::Copy,
                // As in Image::interpolated: bands are numbers.
                'premultiplied' => true,
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /** The place of each pixel: two bands. */
    public static function places(int $width, int $height): Image
    {
        return Image::of(Vips::image('xyz', [], [$width, $height]));
    }
}
