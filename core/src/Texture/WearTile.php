<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;

/**
 * Turns a texture's field into the tile of ink that is taken, at any ppi. The cut is always made at print resolution
 * and then averaged down, so that a proof and a print show the same wear.
 */
final class WearTile
{
    /** Steps of the field over which an edge fades: about one pixel at print size. */
    private const RAMP = 14.0;

    private const STEPS = 255;

    /** One 8-bit band, 255 where the ink goes. Its side is 8 in × scale at the ppi, to the nearest pixel. */
    public static function make(Image $field, Wear $wear, float $ppi): Image
    {
        if ($wear->inverted) {
            $field = $field->inverted();
        }
        if (abs($wear->scale - 1) > 1e-6) {
            $field = $field->resized(round(Texture::TILE * $wear->scale) / Texture::TILE);
        }
        $worn = $field->looked(self::table($field->histogram(), $wear->amount));
        $side = max(1, (int) round(Texture::TILE * $wear->scale * $ppi / Texture::PPI));

        return $worn->averaged($worn->width() / $side);
    }

    /**
     * The table that takes just the asked share: the place of its ramp is found from how often each level stands.
     *
     * @param  list<int>  $histogram
     * @return list<int>
     */
    private static function table(array $histogram, float $amount): array
    {
        $total = max(1, array_sum($histogram));
        $table = fn (float $cut): array => array_map(
            fn (int $level): int => (int) round(self::STEPS * min(1.0, max(0.0, ($level - $cut) / self::RAMP + 0.5))),
            range(0, 255),
        );
        [$low, $high] = [-self::RAMP, 255 + self::RAMP];
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

        return $table(($low + $high) / 2);
    }
}
