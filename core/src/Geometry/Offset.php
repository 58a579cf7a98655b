<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * Offsets an area, to be filled by the nonzero rule: every edge is moved in parallel, outer corners are joined, and at inner corners the path goes through
 * the original corner. This equals the union of a strip for each edge and a fan for each corner, all wound the same way, so that every edge lies exactly
 * where it belongs.
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
     * @param  list<array{float, Join, float}>  $steps  offset, join and mitre limit of each consecutive offset
     * @param  int  $side  1 outwards, -1 inwards
     * @param  float  $tolerance  greatest error of the chords of round joins
     */
    private function __construct(
        private readonly array $steps,
        private readonly int $side,
        private readonly float $tolerance,
    ) {
        $this->width = array_sum(array_column($steps, 0));
    }

    /**
     * Fills the area grown outwards.
     *
     * @param  list<list<array{float, float}>>  $contours  closed, with the area on the left, as in a Region
     * @param  list<array{float, Join, float}>  $steps
     */
    public static function outwards(array $contours, array $steps, float $tolerance): Path
    {
        return (new self($steps, 1, $tolerance))->about($contours);
    }

    /**
     * Fills the part of the area along its edge.
     *
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
                // Position, normal (towards the side of the offset) and length.
                $edges[] = [$x, $y, $this->side * $dy / $length, -$this->side * $dx / $length, $length];
            }
        }
        if ($edges === []) {
            return;
        }
        $before = $edges[count($edges) - 1];
        $moved = [];
        foreach ($edges as $edge) {
            [$x, $y, $nx, $ny, $length] = $edge;
            [, , $fromX, $fromY, $other] = $before;
            $turn = $this->side * ($fromX * $ny - $fromY * $nx);
            $alike = $fromX * $nx + $fromY * $ny;
            if ($turn > 0) {
                array_push($moved, ...$this->corner($x, $y, [$fromX, $fromY], [$nx, $ny]));
            } elseif (-2 * $this->width * $turn < (1 + $alike) * min($length, $other)) {
                // Intersection of both moved edges.
                $share = $this->width / (1 + $alike);
                $moved[] = [$x + ($fromX + $nx) * $share, $y + ($fromY + $ny) * $share];
            } else {
                array_push($moved, [$x + $fromX * $this->width, $y + $fromY * $this->width], [$x, $y], [$x + $nx * $this->width, $y + $ny * $this->width]);
            }
            $before = $edge;
        }
        $this->polygon($this->side > 0 ? $moved : array_reverse($moved));
        $this->side > 0 || $this->polygon(array_map(fn (array $edge): array => [$edge[0], $edge[1]], $edges));
    }

    /** @param  list<array{float, float}>  $points */
    private function polygon(array $points): void
    {
        foreach ($points as $i => [$x, $y]) {
            $this->segments[] = [$i === 0 ? 'M' : 'L', $x, $y];
        }
        $this->segments[] = ['Z'];
    }

    /**
     * The join of an outer corner, from the end of one moved edge to the start of the next. Each offset starts from the result of the one before.
     *
     * @param  array{float, float}  $from  normals of the two edges
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

        // A mitre is known by its tip alone; add the points on both edges.
        return [
            [$x + $from[0] * $this->width, $y + $from[1] * $this->width],
            ...array_map(fn (array $point): array => [$point[0], $point[1]], $points),
            [$x + $to[0] * $this->width, $y + $to[1] * $this->width],
        ];
    }

    /**
     * Offsets one corner: the resulting corners relative to its point, each with the normals before and after it.
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
            // Cut off at a distance of one width: two corners of half the angle.
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
        // Points within the arc have no corner.
        foreach ($points as $i => $point) {
            $points[$i][3] = $points[$i + 1][2] ?? $b;
            $points[$i][2] = $i === 0 ? $a : $point[2];
        }

        return $points;
    }

    /**
     * The bisector of two normals on the outer side, even if they are opposite.
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
