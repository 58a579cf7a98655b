<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * A cubic curve to be stroked, split into pieces whose offsets are approximated by cubic curves.
 *
 * @internal
 */
final readonly class StrokeCurve
{
    /** Initial number of pieces, so that no bend is missed. */
    public const PIECES = 4;

    private const MOST_CUTS = 10;

    /** In tolerances: how far the approximation may run ahead of the true offset along its direction. */
    private const AHEAD = 10;

    /** If a control point coincides with an end, the direction is taken at this parameter further on. */
    private const BESIDE = 1e-4;

    /**
     * @param  list<array{float, float}>  $ways  three times the differences of consecutive control points
     * @param  float  $size  approximate length of the control polygon
     */
    private function __construct(private float $x, private float $y, private array $ways, public float $size) {}

    /**
     * @param  array{float, float}  $from
     * @param  array{'Q', float, float, float, float}|array{'C', float, float, float, float, float, float}  $s
     */
    public static function of(array $from, array $s): self
    {
        [$x, $y] = $from;
        // A quadratic curve as a cubic: its control points lie two thirds of the way to the quadratic one.
        $ways = $s[0] === 'Q'
            ? [[2 * ($s[1] - $x), 2 * ($s[2] - $y)], [$s[3] - $x, $s[4] - $y], [2 * ($s[3] - $s[1]), 2 * ($s[4] - $s[2])]]
            : [[3 * ($s[1] - $x), 3 * ($s[2] - $y)], [3 * ($s[3] - $s[1]), 3 * ($s[4] - $s[2])], [3 * ($s[5] - $s[3]), 3 * ($s[6] - $s[4])]];

        return new self($x, $y, $ways, array_sum(array_map(fn (array $way): float => abs($way[0]) + abs($way[1]), $ways)));
    }

    /**
     * Points along it, including both ends.
     *
     * @param  float  $half  half the stroke's width; its edges must keep within the tolerance
     * @param  bool  $isChords  whether pieces are straight
     * @return non-empty-list<StrokePoint>
     */
    public function points(float $half, float $tolerance, bool $isChords): array
    {
        $last = $this->at(0.0);
        $points = [$last];
        for ($i = 0; $i < self::PIECES; $i++) {
            $stack = [[$i / self::PIECES, ($i + 1) / self::PIECES, $this->at(($i + 1) / self::PIECES), 0]];
            while ($stack !== []) {
                [$before, $to, $end, $depth] = array_pop($stack);
                $middle = $this->at(($before + $to) / 2);
                [$out, $in] = [$this->heading($last->out, $isChords ? 0.0 : $to - $before), $this->heading($end->in, $isChords ? 0.0 : $to - $before)];
                $there = new StrokePoint($end->x, $end->y, $in, $end->out);
                if ($depth < self::MOST_CUTS && (self::isOff($last->goingOn($out), $middle, $there, $half, $tolerance) || self::isOff($last->goingOn($out), $middle, $there, -$half, $tolerance))) {
                    array_push($stack, [($before + $to) / 2, $to, $end, $depth + 1], [$before, ($before + $to) / 2, $middle, $depth + 1]);

                    continue;
                }
                array_pop($points);
                array_push($points, $last->goingOn($out), $there);
                $last = $there;
            }
        }

        return $points;
    }

    /** Sets the handle's length for a piece: a third of the curve's speed times the piece's parameter length. */
    private function heading(StrokeHeading $at, float $piece): StrokeHeading
    {
        return new StrokeHeading($at->dx, $at->dy, $at->handle * $piece, $at->bend);
    }

    /** The point at a parameter, with the direction and speed of the whole curve. */
    private function at(float $t): StrokePoint
    {
        [[$ax, $ay], [$bx, $by], [$cx, $cy]] = $this->ways;
        $u = 1 - $t;
        [$a, $b, $c] = [$t * (1 - $t * (1 - $t / 3)), $t * $t * (1 - 2 * $t / 3), $t * $t * $t / 3];
        [$x, $y] = [$this->x + $a * $ax + $b * $bx + $c * $cx, $this->y + $a * $ay + $b * $by + $c * $cy];
        foreach ([$t, $t < 0.5 ? $t + self::BESIDE : $t - self::BESIDE] as $near) {
            [$a, $b, $c] = [(1 - $near) ** 2, 2 * (1 - $near) * $near, $near * $near];
            [$dx, $dy] = [$a * $ax + $b * $bx + $c * $cx, $a * $ay + $b * $by + $c * $cy];
            $speed = sqrt($dx * $dx + $dy * $dy);
            if ($speed > 1e-9 * $this->size) {
                if ($near !== $t) {
                    return StrokePoint::within($x, $y, StrokeHeading::along($dx, $dy));
                }
                [$ddx, $ddy] = [2 * ($u * ($bx - $ax) + $t * ($cx - $bx)), 2 * ($u * ($by - $ay) + $t * ($cy - $by))];

                return StrokePoint::within($x, $y, new StrokeHeading($dx / $speed, $dy / $speed, $speed / 3, ($dx * $ddy - $dy * $ddx) / $speed ** 3));
            }
        }

        return StrokePoint::alone($x, $y);
    }

    /**
     * Whether the approximated offset between two points is off by more than the tolerance.
     *
     * @param  float  $off  signed offset, positive to the right of the direction (y points down)
     */
    private static function isOff(StrokePoint $one, StrokePoint $middle, StrokePoint $other, float $off, float $tolerance): bool
    {
        [$out, $in, $way] = [$one->out, $other->in, $middle->in];
        [$grows, $ends] = [1 - $off * $out->bend, 1 - $off * $in->bend];
        // If the curve's radius is smaller than the offset, the edge runs backwards inside the stroke, where it is not seen.
        if ($grows < 0 && $ends < 0) {
            return false;
        }
        [$x0, $y0, $x1, $y1] = [$one->x - $off * $out->dy, $one->y + $off * $out->dx, $other->x - $off * $in->dy, $other->y + $off * $in->dx];
        if ($grows < 0 || $ends < 0) {
            return max(abs($x1 - $x0), abs($y1 - $y0)) > $tolerance;
        }
        [$from, $to] = [$out->handle * $grows, $in->handle * $ends];
        $x = ($x0 + $x1) / 2 + 3 / 8 * ($from * $out->dx - $to * $in->dx) - ($middle->x - $off * $way->dy);
        $y = ($y0 + $y1) / 2 + 3 / 8 * ($from * $out->dy - $to * $in->dy) - ($middle->y + $off * $way->dx);

        // An error along the edge is harmless.
        return abs($x * $way->dy - $y * $way->dx) > $tolerance || abs($x * $way->dx + $y * $way->dy) > self::AHEAD * $tolerance;
    }
}
