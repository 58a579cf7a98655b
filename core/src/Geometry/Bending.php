<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * Bends the segments of a path by a map of the plane.
 *
 * @internal
 *
 * @phpstan-import-type Segment from Path
 */
final class Bending
{
    private const MOST_CUTS = 12;

    /** @param  callable(float, float): array{float, float}  $map */
    public static function path(Path $path, callable $map, float $tolerance, float $longest): Path
    {
        $out = [];
        $start = $at = $bent = $bentStart = [0.0, 0.0];
        foreach ($path->segments as $segment) {
            if ($segment[0] === 'M') {
                $start = $at = [$segment[1], $segment[2]];
                $bent = $bentStart = $map($at[0], $at[1]);
                $out[] = ['M', $bent[0], $bent[1]];

                continue;
            }
            if ($segment[0] === 'Z') {
                if ($at !== $start) {
                    self::bend(['L', $start[0], $start[1]], $at, $bent, $map, $tolerance * $tolerance, $longest, $out);
                }
                [$at, $bent] = [$start, $bentStart];
                $out[] = ['Z'];

                continue;
            }
            $bent = self::bend($segment, $at, $bent, $map, $tolerance * $tolerance, $longest, $out);
            $at = Path::end($segment);
        }

        return new Path($out);
    }

    /**
     * @param  Segment  $segment
     * @param  array{float, float}  $at
     * @param  array{float, float}  $bent  image of its start point
     * @param  callable(float, float): array{float, float}  $map
     * @param  list<Segment>  $out
     *
     * @param-out list<Segment> $out
     *
     * @return array{float, float} image of its end point
     */
    private static function bend(array $segment, array $at, array $bent, callable $map, float $limit, float $longest, array &$out): array
    {
        $stack = [[$segment, 0]];
        while ($stack !== []) {
            [$s, $depth] = array_pop($stack);
            [$x, $y] = $at;
            if ($s[0] === 'L') {
                [, $ex, $ey] = $s;
                $end = $map($ex, $ey);
                $true = $map(($x + $ex) / 2, ($y + $ey) / 2);
                $made = ['L', $end[0], $end[1]];
                $middle = [($bent[0] + $end[0]) / 2, ($bent[1] + $end[1]) / 2];
                $long = abs($ex - $x) > $longest || abs($ey - $y) > $longest;
            } elseif ($s[0] === 'Q') {
                [, $cx, $cy, $ex, $ey] = $s;
                $end = $map($ex, $ey);
                $c = $map($cx, $cy);
                $true = $map(($x + 2 * $cx + $ex) / 4, ($y + 2 * $cy + $ey) / 4);
                $made = ['Q', $c[0], $c[1], $end[0], $end[1]];
                $middle = [($bent[0] + 2 * $c[0] + $end[0]) / 4, ($bent[1] + 2 * $c[1] + $end[1]) / 4];
                $long = max($x, $cx, $ex) - min($x, $cx, $ex) > $longest || max($y, $cy, $ey) - min($y, $cy, $ey) > $longest;
            } else {
                assert($s[0] === 'C');
                [, $cx, $cy, $dx, $dy, $ex, $ey] = $s;
                $end = $map($ex, $ey);
                [$c, $d] = [$map($cx, $cy), $map($dx, $dy)];
                $true = $map(($x + 3 * ($cx + $dx) + $ex) / 8, ($y + 3 * ($cy + $dy) + $ey) / 8);
                $made = ['C', $c[0], $c[1], $d[0], $d[1], $end[0], $end[1]];
                $middle = [($bent[0] + 3 * ($c[0] + $d[0]) + $end[0]) / 8, ($bent[1] + 3 * ($c[1] + $d[1]) + $end[1]) / 8];
                $long = max($x, $cx, $dx, $ex) - min($x, $cx, $dx, $ex) > $longest || max($y, $cy, $dy, $ey) - min($y, $cy, $dy, $ey) > $longest;
            }
            if ($depth < self::MOST_CUTS && ($long || ($true[0] - $middle[0]) ** 2 + ($true[1] - $middle[1]) ** 2 > $limit)) {
                [$first, $second] = Bezier::halves($at, $s);
                array_push($stack, [$second, $depth + 1], [$first, $depth + 1]);

                continue;
            }
            $out[] = $made;
            [$at, $bent] = [[$ex, $ey], $end];
        }

        return $bent;
    }
}
