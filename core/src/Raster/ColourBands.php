<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use TallCrow\Colour\Srgb;

/** Colour arithmetic on pictures: luminance, Lab, saturation, hue. */
final class ColourBands
{
    /**
     * Colours packed into one 16-bit number: 5 bits of red, 6 of green, 5 of blue.
     */
    public static function keyed(Image $image): Image
    {
        [$red, $green, $blue] = array_map(
            fn (array $shifts): Image => Image::shorts(pack('v*', ...array_map(fn (int $level): int => $level >> $shifts[0] << $shifts[1], range(0, 255))), 256),
            [[3, 11], [2, 5], [3, 0]],
        );

        return $image->band(0, 3)->operation('maplut', [$red->withBand($green)->withBand($blue)])->operation('bandbool', [BooleanOperation::Or]);
    }

    /** Converts three bands of sRGB to CIE Lab (D65): three floating point bands. */
    public static function labs(Image $image): Image
    {
        return $image->operation('copy', [], ['interpretation' => Interpretation::Srgb])->operation('colourspace', [Interpretation::Lab]);
    }

    /** The scalar product of two pictures of three bands, pixel by pixel: one floating point band. */
    public static function product(Image $one, Image $other): Image
    {
        return $one->multiplied($other)->operation('recomb', [Image::of(Vips::matrix([[1.0, 1.0, 1.0]]))]);
    }

    /** Scales saturation: moves colours away from their own grey by a factor; alpha is unchanged. */
    public static function saturated(Image $image, float $by): Image
    {
        [$r, $g, $b] = [0.2126 * (1 - $by), 0.7152 * (1 - $by), 0.0722 * (1 - $by)];
        $matrix = Image::of(Vips::matrix([[$r + $by, $g, $b], [$r, $g + $by, $b], [$r, $g, $b + $by]]));

        return $image->band(0, 3)->operation('recomb', [$matrix])->linearByte(1.0)->asColours()->withBand($image->alpha());
    }

    /** Rotates hues by degrees, by the matrix of hueRotate in Filter Effects Module Level 1, which keeps luminance; alpha is unchanged. */
    public static function turned(Image $image, float $degrees): Image
    {
        [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
        $matrix = Image::of(Vips::matrix([
            [0.213 + $cos * 0.787 - $sin * 0.213, 0.715 - $cos * 0.715 - $sin * 0.715, 0.072 - $cos * 0.072 + $sin * 0.928],
            [0.213 - $cos * 0.213 + $sin * 0.143, 0.715 + $cos * 0.285 + $sin * 0.140, 0.072 - $cos * 0.072 - $sin * 0.283],
            [0.213 - $cos * 0.213 - $sin * 0.787, 0.715 - $cos * 0.715 + $sin * 0.715, 0.072 + $cos * 0.928 + $sin * 0.072],
        ]));

        return $image->band(0, 3)->operation('recomb', [$matrix])->linearByte(1.0)->asColours()->withBand($image->alpha());
    }

    /**
     * Adds levels of red, green and blue, weighted by a mask; alpha is unchanged.
     *
     * @param  array{int, int, int}  $by
     */
    public static function shifted(Image $image, Image $share, array $by): Image
    {
        $move = $share->operation('linear', [Boxed::doubles([$by[0] / 255, $by[1] / 255, $by[2] / 255]), Boxed::doubles([0.0, 0.0, 0.0])]);

        return $share->chosen($image->band(0, 3)->plus($move)->linearByte(1.0)->asColours()->withBand($image->alpha()), $image);
    }

    /** Luma of three bands of sRGB: the weights of Rec. ITU-R BT.709 on the encoded samples. */
    public static function luminance(Image $image): Image
    {
        $weights = Image::of(Vips::matrix([[0.2126, 0.7152, 0.0722]]));

        return $image->band(0, 3)->operation('recomb', [$weights])->linearByte(1.0);
    }
}
