<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * Makes the contours of a path fit to be stroked: thinned, and started anew where they are smooth. Strokers make the join at a contour's first corner
 * mitred whatever was asked (seen in librsvg 2.54), so a contour that is to be stroked must not begin at one.
 *
 * @internal
 *
 * @phpstan-import-type Segment from Path
 */
final class Contours
{
    private const NOTHING = 1e-9;

    public static function startedSmooth(Path $path): Path
    {
        $out = [];
        $contour = [];
        foreach ($path->segments as $segment) {
            if ($segment[0] === 'M' && $contour !== []) {
                array_push($out, ...self::restarted($contour));
                $contour = [];
            }
            $contour[] = $segment;
        }
        if ($contour !== []) {
            array_push($out, ...self::restarted($contour));
        }

        return new Path($out);
    }

    /**
     * Leaves out points that lie on the way between those about them, within the tolerance. Straight lines alone are
     * thinned; a curve keeps its ends.
     */
    public static function thinned(Path $path, float $tolerance): Path
    {
        $out = [];
        $anchor = null;
        $skipped = [];
        foreach ($path->segments as $segment) {
            if ($segment[0] === 'L' && $anchor !== null) {
                $straight = true;
                foreach ($skipped as $point) {
                    if (self::off($point, $anchor, [$segment[1], $segment[2]]) > $tolerance) {
                        $straight = false;
                        break;
                    }
                }
                if (! $straight) {
                    $anchor = $skipped[count($skipped) - 1];
                    $out[] = ['L', $anchor[0], $anchor[1]];
                    $skipped = [];
                }
                $skipped[] = [$segment[1], $segment[2]];

                continue;
            }
            if ($skipped !== []) {
                [$x, $y] = $skipped[count($skipped) - 1];
                $out[] = ['L', $x, $y];
                $skipped = [];
            }
            $out[] = $segment;
            $anchor = $segment[0] === 'Z' ? null : Path::end($segment);
        }
        if ($skipped !== []) {
            [$x, $y] = $skipped[count($skipped) - 1];
            $out[] = ['L', $x, $y];
        }

        return new Path($out);
    }

    /**
     * How far a point lies from a line through two others; from the first of them when they are one.
     *
     * @param  array{float, float}  $p
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    private static function off(array $p, array $a, array $b): float
    {
        [$dx, $dy] = [$b[0] - $a[0], $b[1] - $a[1]];
        $length = hypot($dx, $dy);
        if ($length < self::NOTHING) {
            return hypot($p[0] - $a[0], $p[1] - $a[1]);
        }
        // A point beyond the ends is a turn back, not a point on the way.
        $along = (($p[0] - $a[0]) * $dx + ($p[1] - $a[1]) * $dy) / $length;
        if ($along < 0 || $along > $length) {
            return INF;
        }

        return abs(($p[0] - $a[0]) * $dy - ($p[1] - $a[1]) * $dx) / $length;
    }

    /**
     * @param  non-empty-list<Segment>  $contour
     * @return list<Segment>
     */
    private static function restarted(array $contour): array
    {
        $start = [(float) ($contour[0][1] ?? 0), (float) ($contour[0][2] ?? 0)];
        $drawn = [];
        $at = $start;
        foreach (array_slice($contour, 1) as $segment) {
            if ($segment[0] === 'Z') {
                break;
            }
            $to = Path::end($segment);
            if ($segment[0] !== 'L' || hypot($to[0] - $at[0], $to[1] - $at[1]) > self::NOTHING) {
                $drawn[] = $segment;
                $at = $to;
            }
        }
        if ($drawn === []) {
            return [];
        }
        if (hypot($start[0] - $at[0], $start[1] - $at[1]) > self::NOTHING) {
            $drawn[] = ['L', $start[0], $start[1]];
        }
        [$longest, $from] = self::longest($start, $drawn);
        [$first, $second] = Bezier::halves($from, $drawn[$longest]);
        [$x, $y] = Path::end($first);

        return [['M', $x, $y], $second, ...array_slice($drawn, $longest + 1), ...array_slice($drawn, 0, $longest), $first, ['Z']];
    }

    /**
     * A tiny segment may lie within a corner, so the longest is where it is smooth.
     *
     * @param  array{float, float}  $start
     * @param  non-empty-list<Segment>  $drawn
     * @return array{int, array{float, float}} which, and where it begins
     */
    private static function longest(array $start, array $drawn): array
    {
        $best = [0, $start];
        $length = 0.0;
        $at = $start;
        foreach ($drawn as $i => $segment) {
            $to = Path::end($segment);
            $chord = hypot($to[0] - $at[0], $to[1] - $at[1]);
            if ($chord > $length) {
                [$best, $length] = [[$i, $at], $chord];
            }
            $at = $to;
        }

        return $best;
    }
}
