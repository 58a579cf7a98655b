<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/** Bends pictures: every pixel that is wanted is looked up where it came from. */
final class Resampler
{
    /** Pixels between the points at which the way back is reckoned; between them it is straight. */
    private const STEP = 8;

    /** Far outside any picture. */
    private const NOWHERE = -1e6;

    /**
     * @param  callable(float, float): array{float, float}  $back  from inches on the sheet to pixels of the source, its first corner 0, 0
     */
    public static function bent(Image $source, callable $back, Frame $window): Image
    {
        $step = min(self::STEP, max(1, intdiv(min($window->width, $window->height), 4)));
        $across = intdiv($window->width, $step) + 2;
        $down = intdiv($window->height, $step) + 2;
        $points = [];
        for ($j = 0; $j < $down; $j++) {
            for ($i = 0; $i < $across; $i++) {
                [$x, $y] = $back(($window->left + $i * $step + 0.5) / $window->ppi, ($window->top + $j * $step + 0.5) / $window->ppi);
                // The library counts pixel centres.
                array_push($points, is_nan($x) ? self::NOWHERE : $x - 0.5, is_nan($y) ? self::NOWHERE : $y - 0.5);
            }
        }
        $map = Image::samples(pack('g*', ...$points), $across, $down, 2)->spread($step, $window->width, $window->height);

        return $source->drawnFrom($map);
    }
}
