<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

/**
 * Straight edges, corners and curves through the points of an outline, which are about a pixel apart. Drawings reach their pixels as short chords and with
 * coverage in coarse steps, so that points are off by up to a tenth of a pixel; what runs through many of them is off by less.
 *
 * A corner is a point with the numbers of the last point of the outline before it and of the first one after; an edge is a direction and a length.
 *
 * @phpstan-type Corner array{float, float, int, int}
 * @phpstan-type Edge array{float, float, float}
 * @phpstan-type Cubic array{'C', float, float, float, float, float, float}
 */
final class ContourFitting
{
    /** Greatest distance, in pixels, of a point from the edge that stands for it. */
    private const ASTRAY = 0.05;

    /** A corner is blunt over no more than this many pixels, between edges that are at least so long. */
    private const BLUNT = 3.0;

    /** Pixels between a blunt corner and its point, at the most: a sharp point is less than half a pixel wide for some way. */
    private const POINT = 2.0;

    /** A corner turns by more than this sine, 25°; what turns less is part of a curve. */
    private const CORNER = 0.42;

    /** An edge that is so many times as long as the next one is straight up to its end. */
    private const LONGER = 3.0;

    /** A curve turns no further than this, in radians. */
    private const ARC = 1.2;

    /** Greatest distance, in pixels, of a point from the curve that stands for it: first where the outline is a curve, then where it is drawn as chords of one. */
    private const NEAR = [0.03, 0.2];

    /** A curve is fitted to so many of the points between its ends, at the most. */
    private const FITTED = 24;

    /** A curve whose direction is off its chord by less than this sine, a twentieth of a degree, is straight. */
    private const STRAIGHT = 0.001;

    /** @var non-empty-list<array{float, float}> */
    private readonly array $points;

    /** @var list<Corner> */
    private readonly array $corners;

    /** @var list<Edge> from each corner to the next */
    private readonly array $edges;

    /** @var list<?array{float, float}> the direction of the outline at each corner; null where it changes */
    private readonly array $ways;

    /** @param  non-empty-list<array{float, float}>  $points */
    private function __construct(array $points)
    {
        $this->points = $points;
        $this->corners = $corners = self::pointed(self::straightened($points));
        $edges = $ways = [];
        foreach ($corners as $i => [$x, $y]) {
            [$toX, $toY] = $corners[($i + 1) % count($corners)];
            $length = max(1e-9, hypot($toX - $x, $toY - $y));
            $edges[] = [($toX - $x) / $length, ($toY - $y) / $length, $length];
        }
        foreach ($edges as $i => $edge) {
            $ways[] = self::way($edges[($i + count($edges) - 1) % count($edges)], $edge);
        }
        [$this->edges, $this->ways] = [$edges, $ways];
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points  of a closed outline
     * @return list<array{'M', float, float}|array{'L', float, float}|Cubic|array{'Z'}>
     */
    public static function of(array $points): array
    {
        $fitting = new self($points);
        [$x, $y] = $fitting->corners[0];
        $segments = [['M', round($x, 3), round($y, 3)]];
        for ($i = 0; $i < count($fitting->corners); $i = $to) {
            [$to, $segments[]] = $fitting->isStraight($i) ? [$i + 1, $fitting->line($i)] : $fitting->longest($i);
        }
        $segments[] = ['Z'];

        return $segments;
    }

    /**
     * The direction of the outline at a corner: of the circle through it and its neighbours, or of an edge that is straight up to it.
     *
     * @param  Edge  $to  that ends there
     * @param  Edge  $from  that begins there
     * @return ?array{float, float} null where it changes
     */
    private static function way(array $to, array $from): ?array
    {
        if (abs($to[0] * $from[1] - $to[1] * $from[0]) > self::CORNER || $to[0] * $from[0] + $to[1] * $from[1] < 0) {
            return null;
        }
        if ($to[2] > self::LONGER * $from[2]) {
            return [$to[0], $to[1]];
        }
        if ($from[2] > self::LONGER * $to[2]) {
            return [$from[0], $from[1]];
        }
        [$x, $y] = [$to[0] * $from[2] + $from[0] * $to[2], $to[1] * $from[2] + $from[1] * $to[2]];
        $length = max(1e-12, hypot($x, $y));

        return [$x / $length, $y / $length];
    }

    private function isStraight(int $edge): bool
    {
        [$ux, $uy] = $this->edges[$edge];
        [$from, $to] = [$this->ways[$edge], $this->ways[($edge + 1) % count($this->ways)]];

        return max(abs($ux * ($from[1] ?? $uy) - $uy * ($from[0] ?? $ux)), abs($ux * ($to[1] ?? $uy) - $uy * ($to[0] ?? $ux))) < self::STRAIGHT;
    }

    /** @return array{'L', float, float} */
    private function line(int $edge): array
    {
        [$x, $y] = $this->corners[($edge + 1) % count($this->corners)];

        return ['L', round($x, 3), round($y, 3)];
    }

    /**
     * The longest curve from a corner.
     *
     * @return array{int, array{'L', float, float}|Cubic} with the number of the corner at which it ends
     */
    private function longest(int $from): array
    {
        $count = count($this->corners);
        // As far as it bends without a corner or a straight edge, and no further than one curve can follow.
        [$last, $turned] = [$from + 1, 0.0];
        while ($last < $count && $this->ways[$last] !== null && ! $this->isStraight($last)) {
            [[$ux, $uy], [$vx, $vy]] = [$this->edges[$last - 1], $this->edges[$last]];
            $turned += abs($ux * $vy - $uy * $vx);
            if ($turned > self::ARC) {
                break;
            }
            $last++;
        }
        foreach (self::NEAR as $near) {
            [$best, $found, $step] = [$from + 1, $this->fit($from, $from + 1, $near), 1];
            while ($found !== null && $step > 0) {
                $at = min($last, $best + $step);
                $longer = $at > $best ? $this->fit($from, $at, $near) : null;
                [$best, $found, $step] = $longer !== null ? [$at, $longer, 2 * $step] : [$best, $found, intdiv($step, 2)];
            }
            if ($found !== null) {
                return [$best, $found];
            }
        }

        return [$from + 1, $this->line($from)];
    }

    /**
     * The cubic curve between two corners that comes nearest to the points between (Schneider, An Algorithm for Automatically Fitting Digitized
     * Curves, Graphics Gems, 1990).
     *
     * @return ?Cubic null where it comes not near enough
     */
    private function fit(int $first, int $end, float $near): ?array
    {
        $last = $end % count($this->corners);
        [$from, $to] = [$this->leaving($first), $this->arriving($end)];
        $points = $this->between($this->corners[$first], $this->corners[$last]);
        $count = count($points);
        [[$x0, $y0], [$x3, $y3]] = [$points[0], $points[$count - 1]];
        $along = [0.0];
        for ($i = 1; $i < $count; $i++) {
            $along[] = $along[$i - 1] + hypot($points[$i][0] - $points[$i - 1][0], $points[$i][1] - $points[$i - 1][1]);
        }
        $length = max(1e-9, $along[$count - 1]);
        [$aa, $bb, $ab, $ap, $bp] = [0.0, 0.0, 0.0, 0.0, 0.0];
        $dot = -$from[0] * $to[0] - $from[1] * $to[1];
        for ($i = 1; $i < $count - 1; $i++) {
            $t = $along[$i] / $length;
            [$b0, $b1, $b2, $b3] = [(1 - $t) ** 3, 3 * $t * (1 - $t) ** 2, 3 * $t * $t * (1 - $t), $t ** 3];
            [$px, $py] = [$points[$i][0] - ($b0 + $b1) * $x0 - ($b2 + $b3) * $x3, $points[$i][1] - ($b0 + $b1) * $y0 - ($b2 + $b3) * $y3];
            $aa += $b1 * $b1;
            $bb += $b2 * $b2;
            $ab += $b1 * $b2 * $dot;
            $ap += $b1 * ($px * $from[0] + $py * $from[1]);
            $bp -= $b2 * ($px * $to[0] + $py * $to[1]);
        }
        $scale = $aa * $bb - $ab * $ab;
        // Too few points between: as an arc.
        [$one, $other] = $scale <= 1e-9 * $aa * $bb ? [$length / 3, $length / 3] : [($ap * $bb - $bp * $ab) / $scale, ($bp * $aa - $ap * $ab) / $scale];
        if (min($one, $other) < $length / 10 || max($one, $other) > $length) {
            return null;
        }
        [$x1, $y1, $x2, $y2] = [$x0 + $one * $from[0], $y0 + $one * $from[1], $x3 - $other * $to[0], $y3 - $other * $to[1]];
        for ($i = 1; $i < $count - 1; $i++) {
            $t = $along[$i] / $length;
            $u = 1 - $t;
            [$dx, $dy] = [$u ** 3 * $x0 + 3 * $t * $u * $u * $x1 + 3 * $t * $t * $u * $x2 + $t ** 3 * $x3 - $points[$i][0], $u ** 3 * $y0 + 3 * $t * $u * $u * $y1 + 3 * $t * $t * $u * $y2 + $t ** 3 * $y3 - $points[$i][1]];
            [$wx, $wy] = [$u * $u * ($x1 - $x0) + 2 * $t * $u * ($x2 - $x1) + $t * $t * ($x3 - $x2), $u * $u * ($y1 - $y0) + 2 * $t * $u * ($y2 - $y1) + $t * $t * ($y3 - $y2)];
            if (abs($dx * $wy - $dy * $wx) > $near * max(1e-9, hypot($wx, $wy))) {
                return null;
            }
        }

        return ['C', round($x1, 3), round($y1, 3), round($x2, 3), round($y2, 3), round($x3, 3), round($y3, 3)];
    }

    /** @return array{float, float} */
    private function leaving(int $corner): array
    {
        return $this->ways[$corner] ?? self::mirrored($this->ways[($corner + 1) % count($this->ways)], $this->edges[$corner]);
    }

    /** @return array{float, float} */
    private function arriving(int $corner): array
    {
        return $this->ways[$corner % count($this->ways)] ?? self::mirrored($this->ways[$corner - 1], $this->edges[$corner - 1]);
    }

    /**
     * The direction at the other end of an edge that bends as an arc does.
     *
     * @param  ?array{float, float}  $way
     * @param  Edge  $edge
     * @return array{float, float}
     */
    private static function mirrored(?array $way, array $edge): array
    {
        [$x, $y] = $way ?? $edge;
        $along = $x * $edge[0] + $y * $edge[1];

        return [2 * $along * $edge[0] - $x, 2 * $along * $edge[1] - $y];
    }

    /**
     * Two corners and points of the outline between them, evenly.
     *
     * @param  Corner  $from
     * @param  Corner  $to
     * @return non-empty-list<array{float, float}>
     */
    private function between(array $from, array $to): array
    {
        $all = count($this->points);
        $count = ($to[2] - $from[3] + $all) % $all;
        $points = [[$from[0], $from[1]]];
        for ($i = 1, $parts = min(self::FITTED + 1, $count); $i < $parts; $i++) {
            $points[] = $this->points[($from[3] + intdiv($i * $count, $parts)) % $all];
        }
        $points[] = [$to[0], $to[1]];

        return $points;
    }

    /**
     * Drops the points that lie along a line with their neighbours: from each point that is kept, the furthest one is kept next that all points between
     * can be seen past (the cone of directions that pass each of them closely enough).
     *
     * @param  non-empty-list<array{float, float}>  $points
     * @return non-empty-list<Corner>
     */
    private static function straightened(array $points): array
    {
        $kept = [[...$points[0], 0, 0]];
        [$x0, $y0] = $last = $points[0];
        [$least, $most] = [null, null];
        $points[] = $points[0];
        foreach ($points as $i => $point) {
            [$dx, $dy] = [$point[0] - $x0, $point[1] - $y0];
            $far = sqrt($dx * $dx + $dy * $dy);
            if ($far > self::ASTRAY) {
                [$ux, $uy] = [$dx / $far, $dy / $far];
                if ($least !== null && $most !== null && ($least[0] * $uy - $least[1] * $ux < 0 || $ux * $most[1] - $uy * $most[0] < 0)) {
                    $kept[] = [...$last, $i - 1, $i - 1];
                    [$x0, $y0] = $last;
                    [$least, $most] = [null, null];
                    [$dx, $dy] = [$point[0] - $x0, $point[1] - $y0];
                    $far = sqrt($dx * $dx + $dy * $dy);
                    [$ux, $uy] = $far > 0 ? [$dx / $far, $dy / $far] : [1.0, 0.0];
                }
                if ($far > self::ASTRAY) {
                    $sine = self::ASTRAY / $far;
                    $cosine = sqrt(1 - $sine * $sine);
                    $low = [$ux * $cosine + $uy * $sine, $uy * $cosine - $ux * $sine];
                    $high = [$ux * $cosine - $uy * $sine, $uy * $cosine + $ux * $sine];
                    $least = $least === null || $least[0] * $low[1] - $least[1] * $low[0] > 0 ? $low : $least;
                    $most = $most === null || $high[0] * $most[1] - $high[1] * $most[0] > 0 ? $high : $most;
                }
            }
            $last = $point;
        }

        return $kept;
    }

    /**
     * Gives corners their points again. Where an edge ends within a pixel, that pixel is less than half covered, and the line cuts it off; a mitred
     * ring about it would have two corners.
     *
     * @param  non-empty-list<Corner>  $points
     * @return list<Corner>
     */
    private static function pointed(array $points): array
    {
        $count = count($points);
        $lengths = [];
        foreach ($points as $i => [$x, $y]) {
            [$toX, $toY] = $points[($i + 1) % $count];
            $lengths[] = hypot($toX - $x, $toY - $y);
        }
        $first = (int) array_search(max([0.0, ...$lengths]), $lengths, true);
        $kept = [];
        $isCorner = false;
        for ($n = 0; $n < $count; $n = $next) {
            $at = ($first + $n) % $count;
            if (! $isCorner) {
                $kept[] = $points[$at];
            }
            $isCorner = false;
            $next = $n + 1;
            if ($lengths[$at] < self::BLUNT) {
                continue;
            }
            $blunt = 0.0;
            for ($end = $n + 1; $end < $count && $lengths[($first + $end) % $count] < self::BLUNT; $end++) {
                $blunt += $lengths[($first + $end) % $count];
            }
            if ($end > $n + 1 && $blunt <= self::BLUNT) {
                [$from, $to] = [($first + $n + 1) % $count, ($first + $end) % $count];
                $point = self::crossing($points[$at], $points[$from], $points[$to], $points[($to + 1) % $count]);
                if ($point !== null) {
                    $kept[] = [...$point, $points[$from][2], $points[$to][3]];
                    $next = $end;
                    $isCorner = true;
                }
            }
        }

        return $kept;
    }

    /**
     * Where two edges meet that end a little before.
     *
     * @param  Corner  $a
     * @param  Corner  $b
     * @param  Corner  $c
     * @param  Corner  $d
     * @return ?array{float, float} beyond the end b of the first edge and the beginning c of the second; null if there is no such point near them
     */
    private static function crossing(array $a, array $b, array $c, array $d): ?array
    {
        [$ux, $uy, $vx, $vy] = [$b[0] - $a[0], $b[1] - $a[1], $d[0] - $c[0], $d[1] - $c[1]];
        $turn = $ux * $vy - $uy * $vx;
        if ($turn == 0.0) {
            return null;
        }
        $along = (($c[0] - $b[0]) * $vy - ($c[1] - $b[1]) * $vx) / $turn;
        $back = (($c[0] - $b[0]) * $uy - ($c[1] - $b[1]) * $ux) / $turn;
        $point = [$b[0] + $along * $ux, $b[1] + $along * $uy];

        return $along >= 0 && $back <= 0 && hypot($point[0] - ($b[0] + $c[0]) / 2, $point[1] - ($b[1] + $c[1]) / 2) <= self::POINT ? $point : null;
    }
}
