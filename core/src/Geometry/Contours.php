<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * The contours of a path, started anew where they are smooth. Strokers make the join at a contour's first corner
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
        [$first, $second] = self::halves($from, $drawn[$longest]);
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

    /**
     * Both halves of a segment, by de Casteljau's rule.
     *
     * @param  array{float, float}  $from
     * @param  Segment  $s
     * @return array{Segment, Segment}
     */
    private static function halves(array $from, array $s): array
    {
        $middle = fn (array $a, array $b): array => [($a[0] + $b[0]) / 2, ($a[1] + $b[1]) / 2];
        if ($s[0] === 'Q') {
            $a = $middle($from, [$s[1], $s[2]]);
            $b = $middle([$s[1], $s[2]], [$s[3], $s[4]]);
            $m = $middle($a, $b);

            return [['Q', $a[0], $a[1], $m[0], $m[1]], ['Q', $b[0], $b[1], $s[3], $s[4]]];
        }
        if ($s[0] === 'C') {
            $a = $middle($from, [$s[1], $s[2]]);
            $b = $middle([$s[1], $s[2]], [$s[3], $s[4]]);
            $c = $middle([$s[3], $s[4]], [$s[5], $s[6]]);
            [$d, $e] = [$middle($a, $b), $middle($b, $c)];
            $m = $middle($d, $e);

            return [['C', $a[0], $a[1], $d[0], $d[1], $m[0], $m[1]], ['C', $e[0], $e[1], $c[0], $c[1], $s[5], $s[6]]];
        }
        $to = Path::end($s);
        $m = $middle($from, $to);

        return [['L', $m[0], $m[1]], ['L', $to[0], $to[1]]];
    }
}
