<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/** Bends pictures: every pixel that is wanted is looked up where it came from. */
final class Resampler
{
    /** Pixels between the points at which the way back is reckoned; between them it is straight. As many as keep within ASTRAY. */
    private const STEPS = [64, 32, 16, 8, 4];

    /** Pixels of the source by which a place between two points may be off. */
    private const ASTRAY = 0.08;

    private const PROBES = 14;

    /** Far outside any picture. */
    private const NOWHERE = -1e6;

    /**
     * What shows in a window. The points lie on a grid of the sheet's, as near to one another as the whole picture asks for, so that a part is that of the whole.
     *
     * @param  callable(float, float): array{float, float}  $back  from inches on the sheet to pixels of the source, its first corner 0, 0
     * @param  Box  $whole  where the bent picture lies, in inches on the sheet
     */
    public static function bent(Image $source, callable $back, Frame $window, Box $whole): Image
    {
        $step = self::step($back, $whole, $window->ppi);
        [$left, $top] = [(int) floor($window->left / $step) * $step, (int) floor($window->top / $step) * $step];
        $across = intdiv($window->left + $window->width - $left, $step) + 2;
        $down = intdiv($window->top + $window->height - $top, $step) + 2;
        $points = [];
        for ($j = 0; $j < $down; $j++) {
            for ($i = 0; $i < $across; $i++) {
                [$x, $y] = $back(($left + $i * $step + 0.5) / $window->ppi, ($top + $j * $step + 0.5) / $window->ppi);
                // The library counts pixel centres.
                array_push($points, is_nan($x) ? self::NOWHERE : $x - 0.5, is_nan($y) ? self::NOWHERE : $y - 0.5);
            }
        }
        $map = Image::floats(pack('g*', ...$points), $across, $down, 2)->interpolated($step, ($across - 1) * $step, ($down - 1) * $step);

        return $source->drawnFrom($map->crop($window->left - $left, $window->top - $top, $window->width, $window->height))->settled();
    }

    /** @param  callable(float, float): array{float, float}  $back */
    private static function step(callable $back, Box $whole, float $ppi): int
    {
        $most = max(1.0, min($whole->width(), $whole->height()) * $ppi / 4);
        foreach (self::STEPS as $step) {
            if ($step <= $most && self::astray($back, $whole, $step / $ppi) <= self::ASTRAY) {
                return $step;
            }
        }

        return min((int) $most, self::STEPS[count(self::STEPS) - 1]);
    }

    /**
     * @param  callable(float, float): array{float, float}  $back
     * @param  float  $side  between two points, in inches
     */
    private static function astray(callable $back, Box $whole, float $side): float
    {
        $worst = 0.0;
        for ($j = 0; $j < self::PROBES; $j++) {
            for ($i = 0; $i < self::PROBES; $i++) {
                $x = $whole->left - $side + ($whole->width() + $side) * $i / (self::PROBES - 1);
                $y = $whole->top - $side + ($whole->height() + $side) * $j / (self::PROBES - 1);
                [$a, $b, $c, $d] = [$back($x, $y), $back($x + $side, $y), $back($x, $y + $side), $back($x + $side, $y + $side)];
                $true = $back($x + $side / 2, $y + $side / 2);
                $off = hypot($true[0] - ($a[0] + $b[0] + $c[0] + $d[0]) / 4, $true[1] - ($a[1] + $b[1] + $c[1] + $d[1]) / 4);
                $worst = is_nan($off) ? INF : max($worst, $off);
            }
        }

        return $worst;
    }
}
