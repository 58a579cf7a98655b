<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * Quadratic and cubic Bézier curves.
 *
 * @phpstan-import-type Segment from Path
 */
final class Bezier
{
    /** @return list<float> values at the extremes within the curve */
    public static function quadraticExtremes(float $p0, float $p1, float $p2): array
    {
        $bend = $p0 - 2 * $p1 + $p2;
        if (abs($bend) < 1e-12) {
            return [];
        }
        $t = ($p0 - $p1) / $bend;

        return $t > 0 && $t < 1 ? [self::quadratic($p0, $p1, $p2, $t)] : [];
    }

    /** @return list<float> values at the extremes within the curve */
    public static function cubicExtremes(float $p0, float $p1, float $p2, float $p3): array
    {
        $a = -$p0 + 3 * $p1 - 3 * $p2 + $p3;
        $b = 2 * ($p0 - 2 * $p1 + $p2);
        $c = $p1 - $p0;
        $roots = [];
        if (abs($a) < 1e-12) {
            $roots = abs($b) < 1e-12 ? [] : [-$c / $b];
        } elseif (($root = $b * $b - 4 * $a * $c) >= 0) {
            $roots = [(-$b + sqrt($root)) / (2 * $a), (-$b - sqrt($root)) / (2 * $a)];
        }
        $values = [];
        foreach ($roots as $t) {
            if ($t > 0 && $t < 1) {
                $values[] = self::cubic($p0, $p1, $p2, $p3, $t);
            }
        }

        return $values;
    }

    public static function quadratic(float $p0, float $p1, float $p2, float $t): float
    {
        $u = 1 - $t;

        return $u * $u * $p0 + 2 * $u * $t * $p1 + $t * $t * $p2;
    }

    public static function cubic(float $p0, float $p1, float $p2, float $p3, float $t): float
    {
        $u = 1 - $t;

        return $u * $u * $u * $p0 + 3 * $u * $u * $t * $p1 + 3 * $u * $t * $t * $p2 + $t * $t * $t * $p3;
    }

    /**
     * Splits a segment in half by de Casteljau's algorithm.
     *
     * @param  array{float, float}  $from
     * @param  Segment  $s  an L, Q or C
     * @return array{Segment, Segment}
     */
    public static function halves(array $from, array $s): array
    {
        [$x, $y] = $from;
        if ($s[0] === 'Q') {
            [$ax, $ay] = [($x + $s[1]) / 2, ($y + $s[2]) / 2];
            [$bx, $by] = [($s[1] + $s[3]) / 2, ($s[2] + $s[4]) / 2];

            return [['Q', $ax, $ay, ($ax + $bx) / 2, ($ay + $by) / 2], ['Q', $bx, $by, $s[3], $s[4]]];
        }
        if ($s[0] === 'C') {
            [$ax, $ay] = [($x + $s[1]) / 2, ($y + $s[2]) / 2];
            [$bx, $by] = [($s[1] + $s[3]) / 2, ($s[2] + $s[4]) / 2];
            [$cx, $cy] = [($s[3] + $s[5]) / 2, ($s[4] + $s[6]) / 2];
            [$dx, $dy] = [($ax + $bx) / 2, ($ay + $by) / 2];
            [$ex, $ey] = [($bx + $cx) / 2, ($by + $cy) / 2];

            return [['C', $ax, $ay, $dx, $dy, ($dx + $ex) / 2, ($dy + $ey) / 2], ['C', $ex, $ey, $cx, $cy, $s[5], $s[6]]];
        }
        [$toX, $toY] = Path::end($s);

        return [['L', ($x + $toX) / 2, ($y + $toY) / 2], ['L', $toX, $toY]];
    }

    /**
     * Flattens a curve into n chords of equal parameter length, as many as keep within the tolerance. A chord of an n-th of a quadratic is off by at most
     * |p0 − 2 p1 + p2| ÷ 4n², one of a cubic by at most three times that of its worse half.
     *
     * @param  array{float, float}  $from
     * @param  array{'Q', float, float, float, float}|array{'C', float, float, float, float, float, float}  $s
     * @param  list<array{'M', float, float}|array{'L', float, float}|array{'Q', float, float, float, float}|array{'C', float, float, float, float, float, float}|array{'Z'}>  $out
     *
     * @param-out list<array{'M', float, float}|array{'L', float, float}|array{'Q', float, float, float, float}|array{'C', float, float, float, float, float, float}|array{'Z'}> $out
     */
    public static function chords(array $from, array $s, float $tolerance, array &$out): void
    {
        [$x, $y] = $from;
        if ($s[0] === 'Q') {
            $bow = hypot($x - 2 * $s[1] + $s[3], $y - 2 * $s[2] + $s[4]) / 4;
        } else {
            $bow = 0.75 * max(hypot($x - 2 * $s[1] + $s[3], $y - 2 * $s[2] + $s[4]), hypot($s[1] - 2 * $s[3] + $s[5], $s[2] - 2 * $s[4] + $s[6]));
        }
        $count = max(1, min(400, (int) ceil(sqrt($bow / $tolerance))));
        for ($i = 1; $i <= $count; $i++) {
            $t = $i / $count;
            $out[] = $s[0] === 'Q'
                ? ['L', self::quadratic($x, $s[1], $s[3], $t), self::quadratic($y, $s[2], $s[4], $t)]
                : ['L', self::cubic($x, $s[1], $s[3], $s[5], $t), self::cubic($y, $s[2], $s[4], $s[6], $t)];
        }
    }
}
