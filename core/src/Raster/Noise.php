<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Random fields, the same for the same seed, that meet themselves at the edges. */
final class Noise
{
    /**
     * Gradient noise, smooth from -1 to 1, that meets itself at the edges when the sides are whole cells.
     */
    public static function gradient(int $width, int $height, int $cell, int $seed): Image
    {
        return Image::of(Vips::image('perlin', [], [$width, $height], ['cell-size' => $cell, 'seed' => $seed]));
    }

    /**
     * Random grains blurred to blobs of a size, alike in all directions, that meet themselves at the edges. The bell is cut off where it is still a
     * fifth as high as in the middle, so the blobs are rough.
     *
     * @param  float  $sigma  in pixels; a blob is about four of it across
     */
    public static function grain(int $side, float $sigma, int $seed): Image
    {
        return self::blurred($side, $sigma, $seed, fn (Image $grains): Image => Blur::gaussian($grains, $sigma));
    }

    /** As grain(), under a whole bell: what is cut from it at a level has smooth edges. */
    public static function smooth(int $side, float $sigma, int $seed): Image
    {
        return self::blurred($side, $sigma, $seed, fn (Image $grains): Image => Blur::exact($grains, $sigma));
    }

    /** @param  \Closure(Image): Image  $blur */
    private static function blurred(int $side, float $sigma, int $seed, \Closure $blur): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $margin = (int) ceil($sigma * 4) + 1;

        $grains = Image::raw($random->getBytes(max(1, $side * $side)), $side, $side, 1)->tiled($margin, $margin, $side + 2 * $margin, $side + 2 * $margin);

        return $blur($grains->linear(1.0))->crop($margin, $margin, $side, $side);
    }
}
