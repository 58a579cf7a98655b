<?php

declare(strict_types=1);

namespace TallCrow\Type;

use TallCrow\Geometry\Path;

/** Converts FreeType's points and tags to curves: quadratic sequences with implied on-curve points, and cubic pairs. */
final class GlyphContours
{
    private const CONIC = 0;

    private const ON = 1;

    /** @param  list<list<array{float, float, int}>>  $contours */
    public static function toPath(array $contours): Path
    {
        $segments = [];
        foreach ($contours as $points) {
            if (count($points) >= 2) {
                array_push($segments, ...self::contour($points));
            }
        }

        /** @var list<array{'M', float, float}|array{'L', float, float}|array{'Q', float, float, float, float}|array{'C', float, float, float, float, float, float}|array{'Z'}> $segments */
        return new Path($segments);
    }

    /**
     * @param  non-empty-list<array{float, float, int}>  $points
     * @return list<array<int, float|string>>
     */
    private static function contour(array $points): array
    {
        $points = self::fromOnPoint($points);
        $start = $points[0];
        $segments = [['M', $start[0], $start[1]]];
        $points[] = $start;
        $n = count($points);
        for ($i = 1; $i < $n; $i++) {
            $p = $points[$i];
            if ($p[2] === self::ON) {
                if ($i < $n - 1) {
                    $segments[] = ['L', $p[0], $p[1]];
                }
            } elseif ($p[2] === self::CONIC) {
                $next = $points[$i + 1];
                if ($next[2] === self::ON) {
                    $i++;
                } else {
                    $next = self::middle($p, $next);
                }
                $segments[] = ['Q', $p[0], $p[1], $next[0], $next[1]];
            } else {
                [$q, $to] = [$points[$i + 1], $points[min($i + 2, $n - 1)]];
                $segments[] = ['C', $p[0], $p[1], $q[0], $q[1], $to[0], $to[1]];
                $i += 2;
            }
        }
        $segments[] = ['Z'];

        return $segments;
    }

    /**
     * @param  non-empty-list<array{float, float, int}>  $points
     * @return non-empty-list<array{float, float, int}>
     */
    private static function fromOnPoint(array $points): array
    {
        foreach ($points as $i => $point) {
            if ($point[2] === self::ON) {
                return [$point, ...array_slice($points, $i + 1), ...array_slice($points, 0, $i)];
            }
        }

        return [self::middle($points[0], $points[count($points) - 1]), ...$points];
    }

    /**
     * @param  array{float, float, int}  $p
     * @param  array{float, float, int}  $q
     * @return array{float, float, int}
     */
    private static function middle(array $p, array $q): array
    {
        return [($p[0] + $q[0]) / 2, ($p[1] + $q[1]) / 2, self::ON];
    }
}
