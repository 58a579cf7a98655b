<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Pictures looked at in places, not averaged. */
final class Sampling
{
    /** A picture of fewer pixels, each of which is one of those that it stands for, by chance. */
    public static function jittered(Image $image, int $width, int $height, int $seed): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $chance = Image::raw($random->getBytes(max(1, 2 * $width * $height)), $width, $height, 2)->linear(1 / 256);

        return self::nearest($image, self::places($width, $height)->plus($chance)->linearBands([$image->width() / $width, $image->height() / $height]));
    }

    /** A picture whose pixels are taken from where two bands of floating point say, in pixels of the source; the nearest is taken. */
    public static function nearest(Image $image, Image $places): Image
    {
        $interpolate = Vips::run('vips_interpolate_new', 'nearest');
        try {
            return $image->operation('mapim', [$places], ['interpolate' => $interpolate, 'extend' => Extend::Copy]);
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
