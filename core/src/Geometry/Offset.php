<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * What is added to an area when its edge is moved: a strip beside each edge and a fan at each corner that opens. All of them run the same way
 * round, so that one fill by the nonzero rule draws the area with them, each edge exactly where it belongs.
 *
 * @phpstan-import-type Segment from Path
 */
final class Offset
{
    private const NOTHING = 1e-12;

    /** @var list<Segment> */
    private array $segments = [];

    private float $width;

    /**
     * @param  list<array{float, Join, float}>  $steps  widths, corners and limits of mitres, one after another
     * @param  int  $side  1 outwards, -1 inwards
     * @param  float  $tolerance  by which the chords of round corners may stray
     */
    private function __construct(
        private readonly array $steps,
        private readonly int $side,
        private readonly float $tolerance,
    ) {
        $this->width = array_sum(array_column($steps, 0));
    }

    /**
     * @param  list<list<array{float, float}>>  $contours  closed, what they enclose to the left, as a region's run
     * @param  list<array{float, Join, float}>  $steps
     */
    public static function outwards(array $contours, array $steps, float $tolerance): Path
    {
        return (new self($steps, 1, $tolerance))->about($contours);
    }

    /**
     * @param  list<list<array{float, float}>>  $contours
     * @param  list<array{float, Join, float}>  $steps
     */
    public static function inwards(array $contours, array $steps, float $tolerance): Path
    {
        return (new self($steps, -1, $tolerance))->about($contours);
    }

    /** @param  list<list<array{float, float}>>  $contours */
    private function about(array $contours): Path
    {
        foreach ($contours as $contour) {
            $this->contour($contour);
        }

        return new Path($this->segments);
    }

    /** @param  list<array{float, float}>  $points */
    private function contour(array $points): void
    {
        $edges = [];
        for ($i = 1, $n = count($points); $i < $n; $i++) {
            [$x, $y] = $points[$i - 1];
            [$dx, $dy] = [$points[$i][0] - $x, $points[$i][1] - $y];
            $length = hypot($dx, $dy);
            if ($length > self::NOTHING) {
                // The normal to the side that the edge is moved to.
                $edges[] = [$x, $y, $dx, $dy, $this->side * $dy / $length, -$this->side * $dx / $length];
            }
        }
        $before = $edges[count($edges) - 1] ?? null;
        foreach ($edges as $edge) {
            [$x, $y, $dx, $dy, $nx, $ny] = $edge;
            [$ox, $oy] = [$nx * $this->width, $ny * $this->width];
            $this->polygon([[$x + $ox, $y + $oy], [$x + $dx + $ox, $y + $dy + $oy], [$x + $dx, $y + $dy], [$x, $y]]);
            if ($before !== null && $this->side * ($before[2] * $dy - $before[3] * $dx) > 0) {
                $this->polygon([...$this->corner($x, $y, [$before[4], $before[5]], [$nx, $ny]), [$x, $y]]);
            }
            $before = $edge;
        }
    }

    /** @param  non-empty-list<array{float, float}>  $points  the way round that both sides share, seen from outside */
    private function polygon(array $points): void
    {
        foreach ($this->side > 0 ? $points : array_reverse($points) as $i => [$x, $y]) {
            $this->segments[] = [$i === 0 ? 'M' : 'L', $x, $y];
        }
        $this->segments[] = ['Z'];
    }

    /**
     * The outer edge of an opening corner, from the end of one moved edge to the start of the next. Each step moves what the one before it left.
     *
     * @param  array{float, float}  $from  normals of both edges
     * @param  array{float, float}  $to
     * @return list<array{float, float}>
     */
    private function corner(float $x, float $y, array $from, array $to): array
    {
        $points = [[$x, $y, $from, $to]];
        foreach ($this->steps as [$width, $join, $limit]) {
            $moved = [];
            foreach ($points as [$px, $py, $a, $b]) {
                foreach ($this->joined($a, $b, $width, $join, $limit) as [$ox, $oy, $in, $out]) {
                    $moved[] = [$px + $ox, $py + $oy, $in, $out];
                }
            }
            $points = $moved;
        }

        // From edge to edge: of a mitre the point alone is known.
        return [
            [$x + $from[0] * $this->width, $y + $from[1] * $this->width],
            ...array_map(fn (array $point): array => [$point[0], $point[1]], $points),
            [$x + $to[0] * $this->width, $y + $to[1] * $this->width],
        ];
    }

    /**
     * One corner moved by a width: its new corners about its own point, each between two normals.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @return list<array{float, float, array{float, float}, array{float, float}}>
     */
    private function joined(array $a, array $b, float $width, Join $join, float $limit): array
    {
        $cos = max(-1.0, min(1.0, $a[0] * $b[0] + $a[1] * $b[1]));
        if ($cos > 1 - 1e-14) {
            return [[$a[0] * $width, $a[1] * $width, $a, $b]];
        }
        $middle = self::between($a, $b, $this->side);
        $reach = 1 / max(1e-9, sqrt((1 + $cos) / 2));
        if ($join === Join::Mitre && $reach <= $limit + 1e-9) {
            return [[$middle[0] * $reach * $width, $middle[1] * $reach * $width, $a, $b]];
        }
        if ($join === Join::Bevel && $reach <= M_SQRT2 + 1e-9) {
            return [[$a[0] * $width, $a[1] * $width, $a, $middle], [$b[0] * $width, $b[1] * $width, $middle, $b]];
        }
        if ($join !== Join::Round) {
            // Cut square at one width: two corners of half the turn.
            return [...$this->joined($a, $middle, $width, $join, M_SQRT2), ...$this->joined($middle, $b, $width, $join, M_SQRT2)];
        }
        $angle = acos($cos);
        $count = max(1, (int) ceil($angle / (2 * acos(max(0.0, 1 - $this->tolerance / $width)))));
        $points = [];
        $last = $a;
        for ($i = 0; $i <= $count; $i++) {
            $turn = $this->side * $angle * $i / $count;
            $way = $i === $count ? $b : [$a[0] * cos($turn) - $a[1] * sin($turn), $a[0] * sin($turn) + $a[1] * cos($turn)];
            $points[] = [$way[0] * $width, $way[1] * $width, $last, $way];
            $last = $way;
        }
        // The arc's own points are as smooth as it is.
        foreach ($points as $i => $point) {
            $points[$i][3] = $points[$i + 1][2] ?? $b;
            $points[$i][2] = $i === 0 ? $a : $point[2];
        }

        return $points;
    }

    /**
     * Half way from one normal to the other on the side that opens, also where they are opposite.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @return array{float, float}
     */
    private static function between(array $a, array $b, int $side): array
    {
        [$x, $y] = [$a[0] + $b[0], $a[1] + $b[1]];
        $length = hypot($x, $y);

        return $length > 1e-6 ? [$x / $length, $y / $length] : [-$side * $a[1], $side * $a[0]];
    }
}
