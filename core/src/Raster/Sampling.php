<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Point sampling (no averaging) and regridding. */
final class Sampling
{
    /** Jittered subsampling: each pixel of the smaller picture is a random one of the source pixels that it stands for. */
    public static function jittered(Image $image, int $width, int $height, int $seed): Image
    {
        return self::nearest($image, self::scattered($image, $width, $height, $seed));
    }

    /** The same by bicubic interpolation at random places, for a picture that will be enlarged: values between its pixels count as well. */
    public static function jitteredBetween(Image $image, int $width, int $height, int $seed): Image
    {
        // The library's coordinates start at the centre of the first pixel.
        return self::at($image, self::scattered($image, $width, $height, $seed)->linear(1.0, -0.5), 'bicubic');
    }

    /** One random place in each cell of a grid over the picture: two bands, x and y. */
    private static function scattered(Image $image, int $width, int $height, int $seed): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $chance = Image::raw($random->getBytes(max(1, 2 * $width * $height)), $width, $height, 2)->linear(1 / 256);

        return self::places($width, $height)->plus($chance)->linearBands([$image->width() / $width, $image->height() / $height]);
    }

    /** Looks up the nearest source pixel for each pixel; two floating point bands give its x and y in source pixels. */
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
     * A window of one band on another grid, bilinearly interpolated.
     *
     * @param  float  $by  new pixels per pixel of the picture, from about 0.5
     * @param  array{int, int}  $from  coordinates of the picture's first pixel on its own grid
     * @param  array{int, int}  $at  coordinates of the window's first pixel on the new grid
     */
    public static function regridded(Image $image, float $by, array $from, array $at, int $width, int $height): Image
    {
        $interpolate = Vips::run('vips_interpolate_new', 'bilinear');
        // The library's coordinates start at the centre of the first pixel, but grids are aligned at pixel edges.
        $middle = ($by - 1) / 2;
        try {
            return $image->operation('affine', [Boxed::doubles([$by, 0.0, 0.0, $by])], [
                'interpolate' => $interpolate,
                'odx' => $from[0] * $by + $middle,
                'ody' => $from[1] * $by + $middle,
                'oarea' => Boxed::integers([$at[0], $at[1], $width, $height]),
                'extend' => Extend::Copy,
                // No alpha: see Image::drawnOut().
                'premultiplied' => true,
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /** The coordinates of each pixel: two bands, x and y. */
    public static function places(int $width, int $height): Image
    {
        return Image::of(Vips::image('xyz', [], [$width, $height]));
    }
}
