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

    /**
     * A pixel that spans so many of the source along a side is the mean of so many looks along it: a bend squeezes and slants pixels, and one look would
     * miss thin lines and leave steps along slanting edges.
     */
    private const LOOKS = [[7.2, 8], [3.6, 4], [1.8, 2]];

    /** As many at most where it spans much along both. */
    private const BOTH = 4;

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
        // One point more to the left and above, from which the looks of the first pixel are reckoned.
        [$left, $top] = [((int) floor($window->left / $step) - 1) * $step, ((int) floor($window->top / $step) - 1) * $step];
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
        $looks = self::looks($points, $across, $down, $step);
        $map = Image::floats(pack('g*', ...self::torn($points, $across, $source)), $across, $down, 2);
        $looked = function (int $along, int $downwards) use ($source, $map, $across, $down, $step, $window, $left, $top): Image {
            $maps = [];
            foreach (range(1, $along) as $i) {
                foreach (range(1, $downwards) as $j) {
                    $at = fn (int $look, int $of): float => 0.5 - ($look - 0.5) / $of;
                    $maps[] = $map->interpolated($step, ($across - 1) * $step, ($down - 1) * $step, $at($i, $along), $at($j, $downwards))
                        ->crop($window->left - $left, $window->top - $top, $window->width, $window->height);
                }
            }

            return $source->drawnFrom(...$maps);
        };
        $bent = $looked(1, 1);
        foreach (array_diff(array_unique($looks), ['1 1']) as $wanted) {
            [$along, $downwards] = array_map(intval(...), explode(' ', $wanted));
            $cells = Image::raw(implode('', array_map(fn (string $own): string => $own === $wanted ? "\xff" : "\0", $looks)), $across - 1, $down - 1, 1);
            // Asked for where it is wanted alone: elsewhere more looks are not computed.
            $bent = $cells->zoomed($step)->crop($window->left - $left, $window->top - $top, $window->width, $window->height)->chosen($looked($along, $downwards), $bent);
        }

        return $bent->settled();
    }

    /**
     * How many looks across and down each cell between four points asks for.
     *
     * @param  list<float>  $points  pairs, row by row
     * @return list<string>  "across down"
     */
    private static function looks(array $points, int $across, int $down, int $step): array
    {
        // Of what leads nowhere nothing is seen.
        $span = fn (int $from, int $to): float => $points[$from] === self::NOWHERE || $points[$to] === self::NOWHERE ? 0.0 : hypot($points[$to] - $points[$from], $points[$to + 1] - $points[$from + 1]) / $step;
        $many = function (float $span): int {
            foreach (self::LOOKS as [$least, $looks]) {
                if ($span > $least) {
                    return $looks;
                }
            }

            return 1;
        };
        $looks = [];
        for ($j = 0; $j < $down - 1; $j++) {
            for ($i = 0; $i < $across - 1; $i++) {
                $at = 2 * ($j * $across + $i);
                [$right, $below, $beyond] = [$at + 2, $at + 2 * $across, $at + 2 * $across + 2];
                [$along, $downwards] = [$many(max($span($at, $right), $span($below, $beyond))), $many(max($span($at, $below), $span($right, $beyond)))];
                $looks[] = min($along, $downwards) === 1 ? "$along $downwards" : min(self::BOTH, $along).' '.min(self::BOTH, $downwards);
            }
        }

        return $looks;
    }

    /**
     * A ring's ends lie on either side of a line behind it: straight on from the one to the other the whole picture would be drawn in a pixel. A point
     * beside that line leads nowhere instead, where none about it lies in the picture.
     *
     * @param  list<float>  $points  pairs, row by row
     * @return list<float>
     */
    private static function torn(array $points, int $across, Image $source): array
    {
        [$width, $height] = [$source->width(), $source->height()];
        $torn = $points;
        $isOff = fn (int $at): bool => ! isset($points[2 * $at]) || $points[2 * $at] < -1 || $points[2 * $at] > $width || $points[2 * $at + 1] < -1 || $points[2 * $at + 1] > $height;
        $isAlone = function (int $at) use ($isOff, $across): bool {
            foreach ([-1, 0, 1] as $row) {
                foreach ([-1, 0, 1] as $column) {
                    if (! $isOff($at + $row * $across + $column)) {
                        return false;
                    }
                }
            }

            return true;
        };
        $last = intdiv(count($points), 2);
        foreach ([1, $across] as $next) {
            for ($at = 0; $at + $next < $last; $at++) {
                [$here, $there] = [$points[2 * $at], $points[2 * ($at + $next)]];
                if (! (($here < -1 && $there > $width) || ($here > $width && $there < -1)) || ($next === 1 && ($at + 1) % $across === 0)) {
                    continue;
                }
                $alone = array_values(array_filter([$at, $at + $next], $isAlone));
                if ($alone !== []) {
                    $torn[2 * $alone[0]] = $torn[2 * $alone[0] + 1] = self::NOWHERE;
                }
            }
        }

        return array_values($torn);
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
