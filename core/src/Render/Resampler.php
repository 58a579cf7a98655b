<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/** Bends pictures: every pixel that is wanted is looked up where it came from. */
final class Resampler
{
    /** Pixels between the points at which the way back is reckoned. As many as keep within ASTRAY. */
    private const STEPS = [64, 32, 16, 8, 4];

    /** Pixels of the source by which a place between two points may be off. */
    private const ASTRAY = 0.08;

    /** The same by which it may be off where it goes straight between points so many pixels of the window apart: a curve is followed from point to point, and is slow. */
    private const NEAR = [8, 4];

    private const NEARLY = 0.01;

    private const PROBES = 14;

    /**
     * What shows in a window. The points lie on a grid of the sheet's, as near to one another as the whole picture asks for, so that a part is that of the whole.
     *
     * @param  callable(float, float): array{float, float}  $back  from inches on the sheet to pixels of the source, its first corner 0, 0
     * @param  Box  $whole  where the bent picture lies, in inches on the sheet
     * @param  int  $finer  pixels of the source to one of the window's, along a side: each is the mean of at least as many looks
     * @param  bool  $isOpaque  whether all of the source is: that is drawn sooner
     */
    public static function bent(Image $source, callable $back, Frame $window, Box $whole, int $finer = 1, bool $isOpaque = false): Image
    {
        [$step, $isSmooth] = self::step($back, $whole, $window->ppi, $finer);
        // As many squares as the window touches, and a point more on either side.
        $square = BentGrid::SQUARE;
        [$left, $top] = [(int) floor($window->left / $square) * $square - $step, (int) floor($window->top / $square) * $square - $step];
        $across = intdiv((int) ceil(($window->left + $window->width) / $square) * $square - $left, $step) + 2;
        $down = intdiv((int) ceil(($window->top + $window->height) / $square) * $square - $top, $step) + 2;

        return (new BentGrid(new BentPoints($back, $window->ppi, $across, $down, $step, $left, $top, $isSmooth, $isSmooth ? self::straight($back, $whole, $window->ppi, $step) : 1), $finer, $isOpaque))->draw($source, $window);
    }

    /**
     * How far apart the points lie, and whether a smooth curve through them is the way between: beside a kink it would swing out, where straight on is nearer.
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

        // A part of a square's side as well.
        return [min(2 ** (int) log($most, 2), intdiv(self::STEPS[count(self::STEPS) - 1], $finer)), false];
    }

    /**
     * Pixels of the window over which a curve may go straight.
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
     * Pixels of the source by which the curve through sixteen points is off in the middle of the four inmost, or what is straight between those four.
     *
     * @param  callable(float, float): array{float, float}  $back
     * @param  float  $side  between two points, in inches
     */
    private static function astray(callable $back, Box $whole, float $side, bool $isSmooth): float
    {
        // The cubic spline half way between its two middle points (Catmull and Rom, 1974).
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
