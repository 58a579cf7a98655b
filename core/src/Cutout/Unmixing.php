<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Raster\Vips;

/**
 * Edges of what was cut from a background: each pixel there is a mixture of the background and of what stands before it. Both colours are carried to
 * it from about it; how much of the nearer one it holds is its alpha, and what is left when the background is taken off its own colour. This is the
 * compositing equation C = α F + (1 - α) B solved for α along the line from B to F (as in blue-screen matting, Smith and Blinn 1996).
 */
final class Unmixing
{
    /** Pixels either side of the border that may be mixtures. */
    private const REACH = 2;

    /** Pixels from about which colours are carried. */
    private const CARRIED = 3.0;

    /** What is more unlike the background says more about what stands before it, by this power. */
    private const UNLIKE = 3.0;

    /**
     * @param  Image  $gone  255 where all is background
     * @param  Image  $difference  how unlike the background each pixel is, 0 to 255
     */
    public static function edges(Image $ink, Image $gone, Image $difference): Image
    {
        $side = 2 * self::REACH + 1;
        if (min($ink->width(), $ink->height()) < $side) {
            return $ink->masked($gone->inverted());
        }
        $near = Morphology::dilated($gone, $side)->settled();
        $sure = Morphology::eroded($gone, $side - 2)->settled();
        $mixed = $near->both($sure->inverted())->settled();
        $colour = $ink->band(0, 3)->linear(1.0)->settled();
        $ground = self::carried($colour, $sure->linear(1 / 255));
        $unlike = $difference->linear(1 / 255)->raised(self::UNLIKE)->multiplied($gone->inverted()->linear(1 / 255));
        $before = self::carried($colour, $unlike);
        $way = $before->minus($ground)->settled();
        $off = $colour->minus($ground)->settled();
        $length = self::sum($way->multiplied($way));
        $share = self::sum($off->multiplied($way))->divided($length->linear(1.0, 1.0))->settled();
        $alpha = $share->unitToByte()->settled();
        // Its own colour: the less of it there is, the more is taken from about it.
        $part = $alpha->linear(1 / 255)->settled();
        $own = $off->divided($part->linear(1.0, 0.02))->plus($ground);
        $clean = $own->multiplied($part)->plus($before->multiplied($part->linear(-1.0, 1.0)))->linearByte(1.0)->asColours();
        $cleared = Image::empty($ink->width(), $ink->height(), 1);
        $whole = $cleared->inverted();
        $kept = $mixed->chosen($alpha, $gone->chosen($cleared, $whole));

        return $mixed->chosen($clean, $ink->band(0, 3))->asColours()->withBand($ink->alpha()->times($kept));
    }

    /** Colours as they are about each pixel, by weight; far from any weight, none. */
    private static function carried(Image $colour, Image $weight): Image
    {
        $settled = $weight->settled();

        return Blur::gaussian($colour->multiplied($settled), self::CARRIED, 0.01)->divided(Blur::gaussian($settled, self::CARRIED, 0.01)->linear(1.0, 1e-6))->settled();
    }

    private static function sum(Image $bands): Image
    {
        return $bands->operation('recomb', [Image::of(Vips::matrix([[1.0, 1.0, 1.0]]))]);
    }
}
