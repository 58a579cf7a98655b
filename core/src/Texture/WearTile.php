<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;
use TallCrow\Raster\Sampling;

/**
 * Turns a texture's field into a tile of removed ink at any ppi. The threshold is always applied at print resolution and
 * then averaged down, so that a proof and a print show the same wear.
 */
final class WearTile
{
    /** Field levels over which the threshold fades: about one pixel at print resolution. */
    public const RAMP = 14.0;

    /** The same for a picture's marks, whose field changes slowly. */
    public const CRISP = 4.0;

    private const STEPS = 255;

    /** The field scaled at print resolution. */
    public static function sized(Image $field, Wear $wear): Image
    {
        $field = $wear->inverted ? $field->inverted() : $field;

        return abs($wear->scale - 1) > 1e-6 ? $field->resized(round($field->width() * $wear->scale) / $field->width()) : $field;
    }

    /** Length of a scaled side at a ppi. */
    private static function side(int $across, float $scale, float $ppi): int
    {
        return max(1, (int) round(round($across * $scale) * $ppi / Texture::PPI));
    }

    /**
     * One 8-bit band, 255 where ink is removed. Its side is the field's at this ppi, rounded to whole pixels.
     *
     * @param  Image  $taken  the removed ink of the whole field at print resolution
     */
    public static function make(Image $taken, float $ppi): Image
    {
        // Read a cached file into memory at once: random access to the mapped file takes ten times as long.
        $taken = $taken->settled();

        return $taken->shrunkBy($taken->width() / self::side($taken->width(), 1.0, $ppi));
    }

    /**
     * The field at a low ppi by jittered subsampling: the distribution of levels is kept, and regular patterns do not alias with
     * the grid.
     *
     * @param  Image  $field  the unscaled field
     * @param  float  $scale  scale, at least 1
     */
    public static function glimpsed(Image $field, float $scale, float $ppi, int $seed): Image
    {
        $field = $field->settled();
        [$across, $down] = [self::side($field->width(), $scale, $ppi), self::side($field->height(), $scale, $ppi)];

        return ($scale > 1 ? Sampling::jitteredBetween($field, $across, $down, $seed) : Sampling::jittered($field, $across, $down, $seed))->settled();
    }

    /**
     * The lookup table that removes the asked share: the position of its ramp is found from the histogram of ink by level.
     *
     * @param  array<int, int|float>  $histogram  ink at each of 256 levels
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

        // Rounded to a quarter of a level, so that a cached tile can mostly be reused after a small change of the ink.
        return $table(round(($low + $high) * 2) / 4);
    }
}
