<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Random fields that tile without a seam, the same for the same seed. */
final class Noise
{
    /**
     * Gradient noise from −1 to 1. It tiles without a seam if the sides are multiples of the cell.
     */
    public static function gradient(int $width, int $height, int $cell, int $seed): Image
    {
        return Image::of(Vips::image('perlin', [], [$width, $height], ['cell-size' => $cell, 'seed' => $seed]));
    }

    /**
     * Isotropic blobs: white noise blurred by a Gaussian, tiling without a seam. The Gaussian is truncated at a fifth of its maximum, which makes the blobs
     * rough.
     *
     * @param  float  $sigma  in pixels; a blob is about four of it across
     */
    public static function grain(int $side, float $sigma, int $seed): Image
    {
        return self::blurred($side, $sigma, $seed, fn (Image $grains): Image => Blur::gaussian($grains, $sigma));
    }

    /** Like grain(), but blurred by a full Gaussian: thresholding it gives smooth edges. */
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
