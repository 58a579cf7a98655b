<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI\CData;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;

/**
 * An outline on a canvas, flattened to line segments, since the library would flatten a curve differently where it leaves the page.
 *
 * @internal
 */
final readonly class Chords
{
    /**
     * @param  Affine  $map  the map from the path's units to pixels
     * @param  list<list<float>>  $contours  x and y of each corner in turn, in pixels
     * @param  Box  $box  its bounding box, in pixels
     * @param  bool  $isStraight  whether all its lines are horizontal or vertical
     */
    private function __construct(
        public Affine $map,
        public array $contours,
        public Box $box,
        public bool $isStraight,
    ) {}

    /**
     * @param  int  $left  columns and rows to shift it by
     * @param  CData  $context  a drawing context, whose current path is overwritten
     */
    public static function of(Path $path, Affine $map, int $left, int $top, CData $context): self
    {
        Cairo::call('new_path', $context);
        // The same rounding as Canvas::pixel(), inlined for speed: x and y are in fixed-point steps.
        [$a, $b, $c, $d, $e, $f] = array_map(fn (float $factor): float => $factor * Canvas::FINEST, [$map->a, $map->b, $map->c, $map->d, $map->e, $map->f]);
        $step = 1 / Canvas::FINEST;
        $x = $y = $startX = $startY = 0.0;
        $cairo = Cairo::library();
        foreach ($path->segments as $s) {
            if ($s[0] === 'Z') {
                [$x, $y] = [$startX, $startY];
                $cairo->cairo_close_path($context);

                continue;
            }
            [$fromX, $fromY] = [$x, $y];
            [$x, $y] = [$a * $s[1] + $c * $s[2] + $e, $b * $s[1] + $d * $s[2] + $f];
            if ($s[0] === 'L') {
                $cairo->cairo_line_to($context, round($x) * $step + $left, round($y) * $step + $top);
            } elseif ($s[0] === 'M') {
                [$startX, $startY] = [$x, $y];
                $cairo->cairo_move_to($context, round($x) * $step + $left, round($y) * $step + $top);
            } else {
                [$x1, $y1] = [$x, $y];
                [$x2, $y2] = [$a * $s[3] + $c * $s[4] + $e, $b * $s[3] + $d * $s[4] + $f];
                if ($s[0] === 'Q') {
                    [$x, $y] = [$x2, $y2];
                    // A quadratic curve as a cubic: both handles lie two thirds of the way to the quadratic one.
                    [$x2, $y2] = [($x + 2 * $x1) / 3, ($y + 2 * $y1) / 3];
                    [$x1, $y1] = [($fromX + 2 * $x1) / 3, ($fromY + 2 * $y1) / 3];
                } else {
                    [$x, $y] = [$a * $s[5] + $c * $s[6] + $e, $b * $s[5] + $d * $s[6] + $f];
                }
                $cairo->cairo_curve_to(
                    $context, round($x1) * $step + $left, round($y1) * $step + $top, round($x2) * $step + $left, round($y2) * $step + $top,
                    round($x) * $step + $left, round($y) * $step + $top,
                );
            }
        }
        $contours = Cairo::flattened($context);
        $isStraight = true;
        foreach ($contours as $points) {
            $isStraight = $isStraight && self::isStraight($points);
        }
        $box = $path->isEmpty() ? new Box(0.0, 0.0, 0.0, 0.0) : $path->bounds()->transformed($map->then(Affine::shift($left, $top)));

        return new self($map, $contours, $box, $isStraight);
    }

    /** @param  list<float>  $points */
    private static function isStraight(array $points): bool
    {
        $n = count($points);
        for ($i = 0; $i < $n; $i += 2) {
            $next = ($i + 2) % $n;
            if ($points[$i] !== $points[$next] && $points[$i + 1] !== $points[$next + 1]) {
                return false;
            }
        }

        return true;
    }
}
