<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * A line to be stroked, as points so close that each edge of the stroke between two of them is a straight line or one cubic curve.
 *
 * @internal
 */
final readonly class StrokeLine
{
    /** In tolerances: shorter steps have no direction. */
    private const STEP = 1e-3;

    /**
     * @param  non-empty-list<StrokePoint>  $points
     * @param  list<StrokePoint>  $turns  points where a curve reverses, as at a cusp
     */
    private function __construct(public array $points, public bool $isClosed, public array $turns = []) {}

    /**
     * The lines of a path: one for each contour, open unless it ends with Z.
     *
     * @param  float  $half  half the stroke's width; its edges must keep within the tolerance
     * @param  bool  $isChords  whether it will be dashed
     * @return \Generator<int, self>
     */
    public static function of(Path $path, float $half, float $tolerance, bool $isChords): \Generator
    {
        $start = $at = [0.0, 0.0];
        $run = [];
        foreach ($path->segments as $segment) {
            if ($segment[0] === 'M') {
                if ($run !== []) {
                    yield self::made($run, false);
                }
                $run = [];
                $start = $at = [$segment[1], $segment[2]];
            } elseif ($segment[0] === 'Z') {
                yield self::made([...$run, self::straight($at, $start, $tolerance)], true);
                $run = [];
                $at = $start;
            } else {
                $curve = $segment[0] === 'L' ? null : StrokeCurve::of($at, $segment);
                $run[] = match (true) {
                    $curve === null => self::straight($at, Path::end($segment), $tolerance),
                    $curve->size <= self::STEP * $tolerance => [StrokePoint::alone(...$at)],
                    default => $curve->points($half, $tolerance, $isChords),
                };
                $at = Path::end($segment);
            }
        }
        if ($run !== []) {
            yield self::made($run, false);
        }
    }

    /** @param  non-empty-list<non-empty-list<StrokePoint>>  $run  the points of each segment, including both ends; only the start if it has no length */
    private static function made(array $run, bool $isClosed): self
    {
        $points = $turns = [];
        foreach ($run as $part) {
            if (count($part) > 1) {
                // Continue from the end of the last segment.
                $first = array_shift($part);
                $before = array_pop($points);
                array_push($points, $before === null ? $first : $first->comingFrom($before), ...$part);
                foreach ($part as $point) {
                    if ($first->turnsBefore($point)) {
                        $turns[] = $point;
                    }
                    $first = $point;
                }
            }
        }
        if ($points === []) {
            return new self([$run[0][0]], false);
        }
        if ($isClosed) {
            // In a closed line the last point is the first: combine the heading in of the one with the heading out of the other.
            $last = array_pop($points);
            $points[0] = $points[0]->comingFrom($last);
        }

        return new self($points, $isClosed, $turns);
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return non-empty-list<StrokePoint>
     */
    private static function straight(array $from, array $to, float $tolerance): array
    {
        if (hypot($to[0] - $from[0], $to[1] - $from[1]) <= self::STEP * $tolerance) {
            return [StrokePoint::alone(...$from)];
        }
        $heading = StrokeHeading::along($to[0] - $from[0], $to[1] - $from[1]);

        return [StrokePoint::within($from[0], $from[1], $heading), StrokePoint::within($to[0], $to[1], $heading)];
    }

    /**
     * Its dashes, each as a separate line.
     *
     * @param  non-empty-list<float>  $dashes
     * @return \Generator<int, self>
     */
    public function dashed(array $dashes, float $offset): \Generator
    {
        // An odd dash pattern is repeated once, with dashes and gaps exchanged.
        $whole = array_sum($dashes) * (1 + count($dashes) % 2);
        $left = fmod($offset, $whole);
        $left += $left < 0 ? $whole : 0.0;
        for ($i = 0; $left > ($dash = $dashes[$i % count($dashes)]) || ($left === $dash && $dash > 0); $i++) {
            $left -= $dashes[$i % count($dashes)];
        }
        $left = $dashes[$i % count($dashes)] - $left;
        $points = $this->isClosed ? [...$this->points, $this->points[0]] : $this->points;
        $isInked = $i % 2 === 0;
        $run = [$points[0]];
        // In a closed line the last dash may continue into the first.
        $first = $this->isClosed && $isInked ? [] : null;
        for ($k = 1, $n = count($points); $k < $n; $k++) {
            [$from, $to] = [$points[$k - 1], $points[$k]];
            // Length along the curve: an arc that turns by t is longer than its chord by t² / 24.
            $length = hypot($to->x - $from->x, $to->y - $from->y) * (1 + (($to->in->dx - $from->out->dx) ** 2 + ($to->in->dy - $from->out->dy) ** 2) / 24);
            for ($gone = 0.0; $length - $gone > $left;) {
                $gone += $left;
                $share = $gone / $length;
                $between = fn (float $a, float $b): float => $a + $share * ($b - $a);
                $heading = StrokeHeading::along($between($from->out->dx, $to->in->dx), $between($from->out->dy, $to->in->dy));
                $cut = StrokePoint::within($between($from->x, $to->x), $between($from->y, $to->y), $heading);
                if ($isInked && $first === []) {
                    $first = [...$run, $cut];
                } elseif ($isInked) {
                    yield new self([...$run, $cut], false);
                }
                $run = [$cut];
                $isInked = ! $isInked;
                $left = $dashes[++$i % count($dashes)];
            }
            $left -= $length - $gone;
            $run[] = $to;
        }
        if ($first !== null && $first !== []) {
            yield new self($isInked ? [...array_slice($run, 0, -1), ...$first] : $first, false);
        } elseif ($isInked) {
            yield new self($run, false);
        } elseif (! $this->isClosed && $left <= 1e-9 * $whole) {
            // A dash that begins at the line's end: a dot, if it has caps.
            $end = $points[count($points) - 1];
            yield new self([$end, $end], false);
        }
    }
}
