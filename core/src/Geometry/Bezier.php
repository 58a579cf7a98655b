<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** Bézier curves of the second and third degree, one coordinate at a time. */
final class Bezier
{
    /** @return list<float> values at the turning points inside the curve */
    public static function quadraticExtremes(float $p0, float $p1, float $p2): array
    {
        $bend = $p0 - 2 * $p1 + $p2;
        if (abs($bend) < 1e-12) {
            return [];
        }
        $t = ($p0 - $p1) / $bend;

        return $t > 0 && $t < 1 ? [self::quadratic($p0, $p1, $p2, $t)] : [];
    }

    /** @return list<float> values at the turning points inside the curve */
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
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return \Closure(float): array{float, float}
     */
    public static function line(array $from, array $to): \Closure
    {
        return fn (float $t): array => [$from[0] + ($to[0] - $from[0]) * $t, $from[1] + ($to[1] - $from[1]) * $t];
    }

    /**
     * @param  array{float, float}  $from
     * @param  array<int, mixed>  $s  an L, Q or C segment of a Path
     * @return \Closure(float): array{float, float}
     */
    public static function curve(array $from, array $s): \Closure
    {
        /** @var array{string, float, float, float, float, float, float} $s */
        return match ($s[0]) {
            'Q' => fn (float $t): array => [self::quadratic($from[0], $s[1], $s[3], $t), self::quadratic($from[1], $s[2], $s[4], $t)],
            'C' => fn (float $t): array => [self::cubic($from[0], $s[1], $s[3], $s[5], $t), self::cubic($from[1], $s[2], $s[4], $s[6], $t)],
            default => self::line($from, [$s[1], $s[2]]),
        };
    }

    /**
     * Cuts a curve into even chords, as many as keep within the tolerance: a chord of the n-th part of a quadratic is
     * off by |p0 - 2 p1 + p2| ÷ 4n² at most, and a cubic by no more than three times that of its worse half.
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
