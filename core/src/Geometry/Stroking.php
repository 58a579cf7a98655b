<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * The outline of a stroke, to be filled by the nonzero rule: strips on either side of each piece, wedges at the corners, and caps, all wound the same way.
 * At inner corners the outline goes through the corner itself, so that it is exactly the union of these.
 *
 * @phpstan-import-type Segment from Path
 */
final class Stroking
{
    /** Sine below which there is no turn. */
    private const STRAIGHT = 1e-9;

    /** @var list<Segment> */
    private array $segments = [];

    private function __construct(private readonly Stroke $stroke, private readonly float $half) {}

    /**
     * @param  Path  $path  contours without a final Z are open
     * @param  float  $tolerance  greatest error of an edge, in the unit of the path
     * @param  int  $most  segments
     * @return ?Path  null if there would be more
     */
    public static function outline(Path $path, Stroke $stroke, float $tolerance, int $most): ?Path
    {
        // Estimate first: each curve has two edges.
        if (2 * StrokeCurve::PIECES * count(array_filter($path->segments, fn (array $segment): bool => $segment[0] === 'Q' || $segment[0] === 'C')) > $most) {
            return null;
        }
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
        foreach ($line->turns as $turn) {
            $this->disc($turn);
        }
        if (count($points) === 1) {
            $this->dot($points[0]);

            return;
        }
        $back = array_map(fn (StrokePoint $point): StrokePoint => $point->turned(), array_reverse($points));
        if ($line->isClosed) {
            $this->contour($this->side([...$points, $points[0]], true));
            $this->contour($this->side([...$back, $back[0]], true));

            return;
        }
        $this->contour([...$this->side($points), ...$this->cap($points[count($points) - 1]), ...$this->side($back), ...$this->cap($back[count($back) - 1])]);
    }

    /**
     * The edge on the right of the direction (y points down).
     *
     * @param  non-empty-list<StrokePoint>  $points
     * @return non-empty-list<Segment> lines and curves; the first one leads to its start
     */
    private function side(array $points, bool $isClosed = false): array
    {
        $edge = [$this->beside($points[0], $points[0]->out)];
        for ($i = 1, $n = count($points); $i < $n; $i++) {
            [$from, $to] = [$points[$i - 1], $points[$i]];
            [$out, $in] = [$from->out, $to->in];
            [[, $oneX, $oneY], [, $otherX, $otherY]] = [$one, $other] = [$this->beside($from, $out), $this->beside($to, $in)];
            [$grows, $ends] = [1 - $this->half * $out->bend, 1 - $this->half * $in->bend];
            if (($otherX - $oneX) * ($to->x - $from->x) + ($otherY - $oneY) * ($to->y - $from->y) < 0 || $grows < 0 || $ends < 0) {
                // In a bend tighter than the stroke's half width the edge runs backwards, over an area that is inked anyway.
                array_push($edge, ['L', $from->x, $from->y], ['L', $to->x, $to->y], $other);
                $this->triangle(['L', $from->x, $from->y], ['L', $to->x, $to->y], $one);
                $this->triangle(['L', $to->x, $to->y], $other, $one);
            } elseif ($out->handle + $in->handle > 0) {
                [$first, $second] = [$out->handle * $grows, $in->handle * $ends];
                $edge[] = ['C', $oneX + $first * $out->dx, $oneY + $first * $out->dy, $otherX - $second * $in->dx, $otherY - $second * $in->dy, $otherX, $otherY];
            } else {
                $edge[] = $other;
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

    /** @return array{'L', float, float} a line to the edge beside a point, on the right */
    private function beside(StrokePoint $point, StrokeHeading $heading): array
    {
        return ['L', $point->x - $this->half * $heading->dy, $point->y + $this->half * $heading->dx];
    }

    /**
     * From the end of the strip before a corner to the start of the one after it.
     *
     * @return list<Segment>
     */
    private function corner(StrokePoint $point): array
    {
        [$in, $out] = [$point->in, $point->out];
        [$sine, $cosine] = [$in->sine($out), $in->cosine($out)];
        if (abs($sine) < self::STRAIGHT && $cosine > 0) {
            return [];
        }
        $next = $this->beside($point, $out);
        if ($sine > 0) {
            // An inner corner on this side.
            return [['L', $point->x, $point->y], $next];
        }
        if ($this->stroke->join === Join::Round) {
            return $this->arc($point, [-$in->dy, $in->dx], [-$out->dy, $out->dx]);
        }
        // Length of a mitre in widths: 1 ÷ sin(angle between the lines / 2).
        if ($this->stroke->join === Join::Mitre && $cosine > -1 + 1e-9 && 2 / (1 + $cosine) <= $this->stroke->limit ** 2) {
            $far = $this->half / (1 + $cosine);

            return [['L', $point->x - $far * ($in->dy + $out->dy), $point->y + $far * ($in->dx + $out->dx)], $next];
        }

        return [$next];
    }

    /** @return list<Segment> from the right edge at the line's end to the left edge */
    private function cap(StrokePoint $point): array
    {
        [$dx, $dy] = [$point->in->dx, $point->in->dy];
        $left = $this->beside($point, $point->in->turned());
        if ($this->stroke->cap === Cap::Butt) {
            return [];
        }
        if ($this->stroke->cap === Cap::Round) {
            return [...$this->arc($point, [-$dy, $dx], [$dx, $dy]), ...$this->arc($point, [$dx, $dy], [$dy, -$dx])];
        }
        [, $rightX, $rightY] = $this->beside($point, $point->in);

        return [['L', $rightX + $this->half * $dx, $rightY + $this->half * $dy], ['L', $left[1] + $this->half * $dx, $left[2] + $this->half * $dy], $left];
    }

    /**
     * An arc of half the width as radius, in cubic curves of at most an eighth of a turn: off by 0.0004 % of the width.
     *
     * @param  array{float, float}  $from  direction of its start from the centre
     * @param  array{float, float}  $to
     * @return list<Segment>
     */
    private function arc(StrokePoint $middle, array $from, array $to): array
    {
        $begin = atan2($from[1], $from[0]);
        // Always to the left (y points down), by at most half a turn.
        $way = -fmod(4 * M_PI + $begin - atan2($to[1], $to[0]), 2 * M_PI);
        $count = max(1, (int) ceil(-$way / (M_PI / 4) - 1e-9));
        $handle = 4 / 3 * tan($way / $count / 4);
        [$x, $y, $h] = [$middle->x, $middle->y, $this->half];
        $arc = [];
        for ($i = 1; $i <= $count; $i++) {
            [$cos, $sin, $toCos, $toSin] = [cos($begin + $way * ($i - 1) / $count), sin($begin + $way * ($i - 1) / $count), cos($begin + $way * $i / $count), sin($begin + $way * $i / $count)];
            $arc[] = [
                'C', $x + $h * ($cos - $handle * $sin), $y + $h * ($sin + $handle * $cos), $x + $h * ($toCos + $handle * $toSin), $y + $h * ($toSin - $handle * $toCos),
                $x + $h * $toCos, $y + $h * $toSin,
            ];
        }

        return $arc;
    }

    /** A line without length: a dot, if it has caps. */
    private function dot(StrokePoint $point): void
    {
        if ($this->stroke->cap !== Cap::Butt) {
            $this->contour([$this->beside($point, $point->in), ...$this->cap($point), ...$this->cap($point->turned())]);
        }
    }

    private function disc(StrokePoint $point): void
    {
        $this->contour([['L', $point->x, $point->y + $this->half], ...$this->arc($point, [0.0, 1.0], [0.0, -1.0]), ...$this->arc($point, [0.0, -1.0], [0.0, 1.0])]);
    }

    /**
     * @param  array{'L', float, float}  $a
     * @param  array{'L', float, float}  $b
     * @param  array{'L', float, float}  $c
     */
    private function triangle(array $a, array $b, array $c): void
    {
        $this->contour(($b[1] - $a[1]) * ($c[2] - $a[2]) - ($b[2] - $a[2]) * ($c[1] - $a[1]) > 0 ? [$a, $c, $b] : [$a, $b, $c]);
    }

    /** @param  non-empty-list<Segment>  $edge  an edge that starts at the end of its first segment */
    private function contour(array $edge): void
    {
        array_push($this->segments, ['M', ...Path::end($edge[0])], ...array_slice($edge, 1));
        $this->segments[] = ['Z'];
    }
}
