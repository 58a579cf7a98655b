<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;
use TallCrow\Raster\Sampling;

/**
 * Turns a texture's field into the tile of ink that is taken, at any ppi. The cut is always made at print resolution
 * and then averaged down, so that a proof and a print show the same wear.
 */
final class WearTile
{
    /** Steps of the field over which an edge fades: about one pixel at print size. */
    public const RAMP = 14.0;

    /** Of a picture's marks, whose field runs slowly from one to the next. */
    public const CRISP = 4.0;

    private const STEPS = 255;

    /** The field as large as its scale makes it at print resolution. */
    public static function sized(Image $field, Wear $wear): Image
    {
        $field = $wear->inverted ? $field->inverted() : $field;

        return abs($wear->scale - 1) > 1e-6 ? $field->resized(round($field->width() * $wear->scale) / $field->width()) : $field;
    }

    /** Pixels at a ppi of a side that has so many before it is sized. */
    private static function side(int $across, float $scale, float $ppi): int
    {
        return max(1, (int) round(round($across * $scale) * $ppi / Texture::PPI));
    }

    /**
     * One 8-bit band, 255 where the ink goes. Its side is the field's at the ppi, to the nearest pixel.
     *
     * @param  Image  $taken  of the whole field at print resolution
     */
    public static function make(Image $taken, float $ppi): Image
    {
        // A field that is kept in a file is read once, in order: looked up here and there in it, it takes ten times as long.
        $taken = $taken->settled();

        return $taken->shrunkBy($taken->width() / self::side($taken->width(), 1.0, $ppi));
    }

    /**
     * The field as it lies at a low ppi, where each pixel is one of those that it stands for, by chance: levels are as
     * common as they were, and no pattern of the field falls in step with the grid.
     *
     * @param  Image  $field  before it is set larger
     * @param  float  $scale  by how much it is, from 1
     */
    public static function glimpsed(Image $field, float $scale, float $ppi, int $seed): Image
    {
        $field = $field->settled();
        [$across, $down] = [self::side($field->width(), $scale, $ppi), self::side($field->height(), $scale, $ppi)];

        return ($scale > 1 ? Sampling::jitteredBetween($field, $across, $down, $seed) : Sampling::jittered($field, $across, $down, $seed))->settled();
    }

    /**
     * The table that takes just the asked share: the place of its ramp is found from how much ink lies under each level.
     *
     * @param  array<int, int|float>  $histogram  of 256 levels
     * @return list<int>
     */
    public static function cut(array $histogram, float $amount, float $ramp = self::RAMP): array
    {
        $total = max(1, array_sum($histogram));
        $table = fn (float $cut): array => array_map(
            fn (int $level): int => (int) round(self::STEPS * min(1.0, max(0.0, ($level - $cut) / $ramp + 0.5))),
            range(0, 255),
        );
        [$low, $high] = [-$ramp, 255 + $ramp];
        for ($i = 0; $i < 24; $i++) {
            $middle = ($low + $high) / 2;
            $taken = 0.0;
            foreach ($table($middle) as $level => $share) {
                $taken += $share / self::STEPS * $histogram[$level];
            }
            if ($taken / $total > $amount) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        // To a quarter of a level, so that a tile once made mostly serves again when the ink changes a little.
        return $table(round(($low + $high) * 2) / 4);
    }
}
