<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use TallCrow\Colour\Srgb;

/**
 * Predicts how process inks on white reproduce colours: converts to libvips' built-in CMYK of coated paper and back, by littleCMS, relative colorimetric with
 * black point compensation. It stands in for the profile of the press, which print houses seldom publish.
 */
final class SoftProof
{
    /**
     * @param  list<Srgb>  $colours
     * @return list<Srgb> as many
     */
    public static function of(array $colours): array
    {
        if ($colours === []) {
            return [];
        }
        $options = ['intent' => Intent::Relative, 'black-point-compensation' => true, 'depth' => 8];
        $bytes = implode('', array_map(fn (Srgb $colour): string => chr($colour->red).chr($colour->green).chr($colour->blue), $colours));
        $inks = Image::raw($bytes, count($colours), 1, 3)->asColours()->operation('icc_transform', ['cmyk'], $options + ['input-profile' => 'srgb']);
        $printed = $inks->operation('icc_transform', ['srgb'], $options + ['input-profile' => 'cmyk'])->toBytes();

        return array_map(fn (int $i): Srgb => Srgb::of(ord($printed[3 * $i]), ord($printed[3 * $i + 1]), ord($printed[3 * $i + 2])), array_keys($colours));
    }
}
