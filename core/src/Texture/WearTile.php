<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

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

    /**
     * One 8-bit band, 255 where the ink goes. Its side is the field's × scale at the ppi, to the nearest pixel.
     *
     * @param  list<int>  $table  of cut()
     */
    public static function make(Image $field, Wear $wear, array $table, float $ppi): Image
    {
        $worn = Lookup::bytes(self::sized($field, $wear), $table);
        $side = max(1, (int) round($worn->width() * $ppi / Texture::PPI));

        return $worn->shrunkBy($worn->width() / $side);
    }

    /**
     * The field as it lies at a low ppi, where each pixel is one of those that it stands for, by chance: levels are as
     * common as they were, and no pattern of the field falls in step with the grid.
     */
    public static function glimpsed(Image $field, Wear $wear, float $ppi, int $seed): Image
    {
        [$width, $height, $bytes] = [$field->width(), $field->height(), $field->toBytes()];
        $across = max(1, (int) round(round($width * $wear->scale) * $ppi / Texture::PPI));
        $down = max(1, (int) round(round($height * $wear->scale) * $ppi / Texture::PPI));
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $chance = $random->getBytes(2 * $across * $down);
        $seen = '';
        for ($j = 0, $at = 0; $j < $down; $j++) {
            for ($i = 0; $i < $across; $i++, $at += 2) {
                $x = (int) (($i + ord($chance[$at]) / 256) * $width / $across);
                $y = (int) (($j + ord($chance[$at + 1]) / 256) * $height / $down);
                $seen .= $bytes[$y * $width + $x];
            }
        }
        $image = Image::raw($seen, $across, $down, 1);

        return $wear->inverted ? $image->inverted() : $image;
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
