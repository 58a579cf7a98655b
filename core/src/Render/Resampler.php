<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/** Resamples pictures through a warp by inverse mapping: each pixel of the window is looked up where it comes from. */
final class Resampler
{
    /** Candidate distances, in pixels, between the points at which the inverse map is computed; the largest that keeps within ASTRAY is used. */
    private const STEPS = [64, 32, 16, 8, 4];

    /** Greatest error, in source pixels, of a place interpolated between points. */
    private const ASTRAY = 0.08;

    /** Candidate distances, in window pixels, over which the spline is approximated by straight lines, since evaluating the spline at every pixel is slow. */
    private const NEAR = [8, 4];

    private const NEARLY = 0.01;

    private const PROBES = 14;

    /**
     * The bent picture in a window. The points lie on a grid that is fixed to the sheet, at a distance chosen for the whole picture, so that a part is equal to
     * the crop of the whole.
     *
     * @param  callable(float, float): array{float, float}  $back  from inches on the sheet to pixels of the source, its first corner 0, 0
     * @param  Box  $whole  where the bent picture lies, in inches on the sheet
     * @param  int  $finer  source pixels to a window pixel along a side; a pixel is the mean of at least as many samples each way
     * @param  bool  $isOpaque  whether all of the source is opaque, which allows a quicker way
     */
    public static function bent(Image $source, callable $back, Frame $window, Box $whole, int $finer = 1, bool $isOpaque = false): Image
    {
        [$step, $isSmooth] = self::step($back, $whole, $window->ppi, $finer);
        // All squares that the window touches, and one more point on either side.
        $square = BentGrid::SQUARE;
        [$left, $top] = [(int) floor($window->left / $square) * $square - $step, (int) floor($window->top / $square) * $square - $step];
        $across = intdiv((int) ceil(($window->left + $window->width) / $square) * $square - $left, $step) + 2;
        $down = intdiv((int) ceil(($window->top + $window->height) / $square) * $square - $top, $step) + 2;

        return (new BentGrid(new BentPoints($back, $window->ppi, $across, $down, $step, $left, $top, $isSmooth, $isSmooth ? self::straight($back, $whole, $window->ppi, $step) : 1), $finer, $isOpaque))->draw($source, $window);
    }

    /**
     * The distance between points, and whether to interpolate by a spline. Beside a kink a spline overshoots, and straight lines are closer.
     *
     * @param  callable(float, float): array{float, float}  $back
     * @return array{int, bool}
     */
    private static function step(callable $back, Box $whole, float $ppi, int $finer): array
    {
        $most = max(1.0, min($whole->width(), $whole->height()) * $ppi / 4);
        foreach (self::STEPS as $step) {
            $step = intdiv($step, $finer);
            foreach ($step <= $most ? [true, false] : [] as $isSmooth) {
                if (self::astray($back, $whole, $step / $ppi, $isSmooth) <= self::ASTRAY) {
                    return [$step, $isSmooth];
                }
            }
        }

        // Also a divisor of a square's side.
        return [min(2 ** (int) log($most, 2), intdiv(self::STEPS[count(self::STEPS) - 1], $finer)), false];
    }

    /**
     * Window pixels over which the spline may be approximated by straight lines.
     *
     * @param  callable(float, float): array{float, float}  $back
     */
    private static function straight(callable $back, Box $whole, float $ppi, int $step): int
    {
        foreach (self::NEAR as $near) {
            if ($near < $step && self::astray($back, $whole, $near / $ppi, false) <= self::NEARLY) {
                return $near;
            }
        }

        return 1;
    }

    /**
     * The error of the interpolation, in source pixels, at the centre of a cell: of the bicubic spline through 4 × 4 points, or bilinear between the inner
     * four.
     * The worst of 14 × 14 probes over the picture.
     *
     * @param  callable(float, float): array{float, float}  $back
     * @param  float  $side  distance between two points, in inches
     */
    private static function astray(callable $back, Box $whole, float $side, bool $isSmooth): float
    {
        // Weights of a Catmull-Rom spline at t = 1/2 (Catmull and Rom, 1974).
        $weights = $isSmooth ? [-1 => -1 / 16, 0 => 9 / 16, 1 => 9 / 16, 2 => -1 / 16] : [0 => 1 / 2, 1 => 1 / 2];
        $worst = 0.0;
        for ($j = 0; $j < self::PROBES; $j++) {
            for ($i = 0; $i < self::PROBES; $i++) {
                $x = $whole->left - $side + ($whole->width() + $side) * $i / (self::PROBES - 1);
                $y = $whole->top - $side + ($whole->height() + $side) * $j / (self::PROBES - 1);
                [$offX, $offY] = $back($x + $side / 2, $y + $side / 2);
                foreach ($weights as $row => $down) {
                    foreach ($weights as $column => $across) {
                        [$atX, $atY] = $back($x + $column * $side, $y + $row * $side);
                        $offX -= $down * $across * $atX;
                        $offY -= $down * $across * $atY;
                    }
                }
                $off = hypot($offX, $offY);
                $worst = is_nan($off) ? INF : max($worst, $off);
            }
        }

        return $worst;
    }
}
