<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * Clips an outline to a box (Sutherland and Hodgman 1974): parts beyond a side are replaced by lines along it, so that winding numbers of points inside are
 * unchanged, and both fill rules still hold.
 *
 * @phpstan-import-type Segment from Path
 */
final class Clipping
{
    /** @param  float  $tolerance  greatest error of curves that leave the box, which are flattened */
    public static function toBox(Path $path, Box $box, float $tolerance): Path
    {
        foreach ([[1, 1.0, $box->right], [1, -1.0, -$box->left], [2, 1.0, $box->bottom], [2, -1.0, -$box->top]] as [$axis, $sign, $most]) {
            $path = self::beyond($path, fn (array $point): float => $sign * $point[$axis - 1] - $most, $tolerance);
        }

        return $path;
    }

    /** @param  callable(array{float, float}): float  $beyond  distance of a point beyond the side, negative inside */
    private static function beyond(Path $path, callable $beyond, float $tolerance): Path
    {
        $cut = [];
        $contour = [];
        $start = $at = [0.0, 0.0];
        foreach ($path->segments as $segment) {
            if ($segment[0] === 'M') {
                $start = $at = Path::end($segment);
                // If a contour starts beyond the side, it begins where it comes back.
                $contour = $beyond($at) <= 0 ? [$segment] : [];

                continue;
            }
            foreach (self::parts($at, $segment[0] === 'Z' ? ['L', ...$start] : $segment, $beyond, $tolerance) as $part) {
                $to = Path::end($part);
                [$off, $offTo] = [$beyond($at), $beyond($to)];
                if ($off > 0 !== $offTo > 0) {
                    $share = $off / ($off - $offTo);
                    $contour[] = [$contour === [] ? 'M' : 'L', $at[0] + $share * ($to[0] - $at[0]), $at[1] + $share * ($to[1] - $at[1])];
                }
                if ($offTo <= 0) {
                    $contour[] = $part;
                }
                $at = $to;
            }
            if ($segment[0] === 'Z') {
                $contour === [] ?: array_push($cut, ...$contour, ...[['Z']]);
                $contour = [];
            }
        }

        return new Path($cut);
    }

    /**
     * The segment itself if all of it lies inside, otherwise flattened.
     *
     * @param  array{float, float}  $from
     * @param  Segment  $segment
     * @param  callable(array{float, float}): float  $beyond
     * @return list<Segment>
     */
    private static function parts(array $from, array $segment, callable $beyond, float $tolerance): array
    {
        if ($segment[0] !== 'Q' && $segment[0] !== 'C') {
            return [$segment];
        }
        $handles = [$from, [$segment[1], $segment[2]], [$segment[3], $segment[4]], ...($segment[0] === 'C' ? [[$segment[5], $segment[6]]] : [])];
        $off = array_map(fn (array $point): float => $beyond($point), $handles);
        if (max($off) <= 0) {
            return [$segment];
        }
        $lines = [];
        min($off) > 0 ? $lines[] = ['L', ...Path::end($segment)] : Bezier::chords($from, $segment, $tolerance, $lines);

        return $lines;
    }
}
