<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * The outline of a stroke, to be filled by the nonzero rule: the strips on either side of each piece of the line, the wedges of its corners and its caps, all
 * of which run the same way round. Within corners the outline goes through the corner itself, so that it is the sum of these to the last bit.
 *
 * @phpstan-import-type Segment from Path
 * @phpstan-import-type Point from StrokeLine
 */
final class Stroking
{
    /** Sine of a turn that is none. */
    private const STRAIGHT = 1e-9;

    /** @var list<Segment> */
    private array $segments = [];

    private function __construct(private readonly Stroke $stroke, private readonly float $half) {}

    /**
     * @param  Path  $path  whose contours are open where they are not closed
     * @param  float  $tolerance  by which an edge may be off, in the unit of the path
     * @param  int  $most  segments
     * @return ?Path  null where there would be more
     */
    public static function outline(Path $path, Stroke $stroke, float $tolerance, int $most): ?Path
    {
        $self = new self($stroke, $stroke->width / 2);
        foreach ($stroke->width > 0 ? StrokeLine::of($path, $self->half, $tolerance, $stroke->dashes !== []) : [] as $line) {
            foreach ($stroke->dashes === [] || count($line->points) === 1 ? [$line] : $line->dashed($stroke->dashes, $stroke->offset) as $part) {
                if (count($self->segments) + 2 * count($part->points) > $most) {
                    return null;
                }
                $self->line($part);
            }
        }

        return new Path($self->segments);
    }

    private function line(StrokeLine $line): void
    {
        $points = $line->points;
        foreach ($line->turns as [$x, $y]) {
            $this->contour([['L', $x, $y + $this->half], ...$this->arc($x, $y, 0.0, 1.0, 0.0, -1.0), ...$this->arc($x, $y, 0.0, -1.0, 0.0, 1.0)]);
        }
        if (count($points) === 1) {
            $this->dot($points[0]);

            return;
        }
        $back = array_map(fn (array $p): array => [$p[0], $p[1], -$p[4], -$p[5], -$p[2], -$p[3], $p[8], -$p[9], $p[6], -$p[7]], array_reverse($points));
        if ($line->isClosed) {
            $this->contour($this->side([...$points, $points[0]], true));
            $this->contour($this->side([...$back, $back[0]], true));

            return;
        }
        $this->contour([...$this->side($points), ...$this->cap($points[count($points) - 1]), ...$this->side($back), ...$this->cap($back[count($back) - 1])]);
    }

    /**
     * The edge to the right of the way, where y runs down.
     *
     * @param  non-empty-list<Point>  $points
     * @return non-empty-list<Segment> lines and curves; the first of them leads to its beginning
     */
    private function side(array $points, bool $isClosed = false): array
    {
        $h = $this->half;
        [$x, $y, , , $outX, $outY] = $points[0];
        $edge = [['L', $x - $h * $outY, $y + $h * $outX]];
        for ($i = 1, $n = count($points); $i < $n; $i++) {
            [$fromX, $fromY, , , $goX, $goY, , , $goHandle, $goBend] = $points[$i - 1];
            [$x, $y, $inX, $inY, , , $inHandle, $inBend] = $points[$i];
            [$one, $other] = [[$fromX - $h * $goY, $fromY + $h * $goX], [$x - $h * $inY, $y + $h * $inX]];
            [$grows, $ends] = [1 - $h * $goBend, 1 - $h * $inBend];
            if (($other[0] - $one[0]) * ($x - $fromX) + ($other[1] - $one[1]) * ($y - $fromY) < 0 || $grows < 0 || $ends < 0) {
                // Within a bend that is tighter than the stroke is wide the edge runs backwards: what it passes over is inked all the same.
                array_push($edge, ['L', $fromX, $fromY], ['L', $x, $y], ['L', ...$other]);
                $this->triangle([$fromX, $fromY], [$x, $y], $one);
                $this->triangle([$x, $y], $other, $one);
            } else {
                [$out, $in] = [$goHandle * $grows, $inHandle * $ends];
                $edge[] = $goHandle + $inHandle > 0 ? ['C', $one[0] + $out * $goX, $one[1] + $out * $goY, $other[0] - $in * $inX, $other[1] - $in * $inY, ...$other] : ['L', ...$other];
            }
            if ($i < $n - 1) {
                array_push($edge, ...$this->corner($points[$i]));
            }
        }
        if ($isClosed) {
            array_push($edge, ...$this->corner($points[0]));
        }

        return $edge;
    }

    /**
     * From the end of the strip before a corner to the beginning of the one after it.
     *
     * @param  Point  $point
     * @return list<Segment>
     */
    private function corner(array $point): array
    {
        [$x, $y, $inX, $inY, $outX, $outY] = $point;
        $h = $this->half;
        [$sine, $cosine] = [$inX * $outY - $inY * $outX, $inX * $outX + $inY * $outY];
        if (abs($sine) < self::STRAIGHT && $cosine > 0) {
            return [];
        }
        $next = ['L', $x - $h * $outY, $y + $h * $outX];
        if ($sine > 0) {
            // It turns to this side.
            return [['L', $x, $y], $next];
        }
        if ($this->stroke->join === Join::Round) {
            return $this->arc($x, $y, -$inY, $inX, -$outY, $outX);
        }
        // The mitre's length is 1 / sin of half the angle between the lines, in widths.
        if ($this->stroke->join === Join::Mitre && $cosine > -1 + 1e-9 && 2 / (1 + $cosine) <= $this->stroke->limit ** 2) {
            return [['L', $x - $h * ($inY + $outY) / (1 + $cosine), $y + $h * ($inX + $outX) / (1 + $cosine)], $next];
        }

        return [$next];
    }

    /**
     * @param  Point  $point  where the line ends, and how it comes there
     * @return list<Segment>
     */
    private function cap(array $point): array
    {
        [$x, $y, $dx, $dy] = $point;
        $h = $this->half;

        return match ($this->stroke->cap) {
            Cap::Butt => [],
            Cap::Square => [['L', $x - $h * $dy + $h * $dx, $y + $h * $dx + $h * $dy], ['L', $x + $h * $dy + $h * $dx, $y - $h * $dx + $h * $dy], ['L', $x + $h * $dy, $y - $h * $dx]],
            Cap::Round => [...$this->arc($x, $y, -$dy, $dx, $dx, $dy), ...$this->arc($x, $y, $dx, $dy, $dy, -$dx)],
        };
    }

    /**
     * A part of a circle of half the width, by curves of an eighth of a turn at most: off by 0.0004 % of the width.
     *
     * @return list<Segment>
     */
    private function arc(float $x, float $y, float $fromX, float $fromY, float $toX, float $toY): array
    {
        $from = atan2($fromY, $fromX);
        // Always to the left, where y runs down, by half a turn at most.
        $way = -fmod(4 * M_PI + $from - atan2($toY, $toX), 2 * M_PI);
        $count = max(1, (int) ceil(-$way / (M_PI / 4) - 1e-9));
        $handle = 4 / 3 * tan($way / $count / 4);
        $h = $this->half;
        $arc = [];
        for ($i = 1; $i <= $count; $i++) {
            [$cos, $sin, $toCos, $toSin] = [cos($from + $way * ($i - 1) / $count), sin($from + $way * ($i - 1) / $count), cos($from + $way * $i / $count), sin($from + $way * $i / $count)];
            $arc[] = [
                'C', $x + $h * ($cos - $handle * $sin), $y + $h * ($sin + $handle * $cos), $x + $h * ($toCos + $handle * $toSin), $y + $h * ($toSin - $handle * $toCos),
                $x + $h * $toCos, $y + $h * $toSin,
            ];
        }

        return $arc;
    }

    /**
     * A line that goes nowhere: a dot where it has caps.
     *
     * @param  Point  $point
     */
    private function dot(array $point): void
    {
        if ($this->stroke->cap === Cap::Butt) {
            return;
        }
        [$x, $y] = $point;
        $right = [$x, $y, 1.0, 0.0, 1.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $left = [$x, $y, -1.0, 0.0, -1.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $this->contour([['L', $x, $y + $this->half], ...$this->cap($right), ...$this->cap($left)]);
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private function triangle(array $a, array $b, array $c): void
    {
        $this->contour(($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]) > 0 ? [['L', ...$a], ['L', ...$c], ['L', ...$b]] : [['L', ...$a], ['L', ...$b], ['L', ...$c]]);
    }

    /** @param  non-empty-list<Segment>  $edge  which begins where its first segment ends */
    private function contour(array $edge): void
    {
        array_push($this->segments, ['M', ...Path::end($edge[0])], ...array_slice($edge, 1));
        $this->segments[] = ['Z'];
    }
}
