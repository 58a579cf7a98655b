<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * A line to be stroked, as points close enough to one another that either edge of the stroke is straight between them, or a curve.
 *
 * @internal
 *
 * @phpstan-type Point array{float, float, float, float, float, float, float, float, float, float}
 *
 * @phpstan-import-type Segment from Path
 */
final readonly class StrokeLine
{
    /** A curve is cut into so many pieces at first, so that no bend is stepped over. */
    private const PIECES = 4;

    private const MOST_CUTS = 10;

    /** Cosine of a turn that is none between points so close to one another: where there is more, the curve turns on the spot. */
    private const TURN = 0.5;

    /** Of the tolerance: as far as a curve may run ahead of another that lies where it does. */
    private const AHEAD = 10;

    /** Of the tolerance: a step that is shorter heads nowhere. */
    private const STEP = 1e-3;

    /** Where a curve begins or ends with its handle on its end, it heads where it goes a little further on. */
    private const BESIDE = 1e-4;

    /**
     * @param  non-empty-list<Point>  $points  x, y, the direction in which the line comes and that in which it goes on, each of length 1; the length of its handle
     *                                         and its curvature as it comes, and both as it goes on: none where it is straight
     * @param  list<array{float, float}>  $turns  where a curve turns on the spot
     */
    private function __construct(public array $points, public bool $isClosed, public array $turns = []) {}

    /**
     * The lines of a path, its contours open where they are not closed.
     *
     * @param  float  $half  half the width of the stroke, whose edges are to lie within the tolerance
     * @param  bool  $isChords  whether it is to be cut into dashes
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
                $run[] = $segment[0] === 'L' ? self::straight($at, [$segment[1], $segment[2]], $tolerance) : self::curve($at, $segment, $half, $tolerance, $isChords);
                $at = Path::end($segment);
            }
        }
        if ($run !== []) {
            yield self::made($run, false);
        }
    }

    /** @param  non-empty-list<non-empty-list<Point>>  $run  the points of each segment, its beginning and its end among them; its beginning alone where it goes nowhere */
    private static function made(array $run, bool $isClosed): self
    {
        $points = $turns = [];
        foreach ($run as $part) {
            if (count($part) > 1) {
                if ($points !== []) {
                    // How it goes on from where the last one ended.
                    $last = array_pop($points);
                    [$part[0][2], $part[0][3], $part[0][6], $part[0][7]] = [$last[2], $last[3], $last[6], $last[7]];
                }
                array_push($points, ...$part);
                for ($i = 1, $n = count($part); $i < $n; $i++) {
                    if ($part[$i - 1][4] * $part[$i][2] + $part[$i - 1][5] * $part[$i][3] < self::TURN) {
                        $turns[] = [$part[$i][0], $part[$i][1]];
                    }
                }
            }
        }
        if ($points === []) {
            return new self([$run[0][0]], false);
        }
        if ($isClosed) {
            // The last point is the first one: it comes as the one, and goes on as the other.
            $last = array_pop($points);
            $first = $points[0];
            $points[0] = [$first[0], $first[1], $last[2], $last[3], $first[4], $first[5], $last[6], $last[7], $first[8], $first[9]];
        }

        return new self($points, $isClosed, $turns);
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return non-empty-list<Point>
     */
    private static function straight(array $from, array $to, float $tolerance): array
    {
        $length = hypot($to[0] - $from[0], $to[1] - $from[1]);
        if ($length <= self::STEP * $tolerance) {
            return [[$from[0], $from[1], 1.0, 0.0, 1.0, 0.0, 0.0, 0.0, 0.0, 0.0]];
        }
        [$dx, $dy] = [($to[0] - $from[0]) / $length, ($to[1] - $from[1]) / $length];

        return [[$from[0], $from[1], $dx, $dy, $dx, $dy, 0.0, 0.0, 0.0, 0.0], [$to[0], $to[1], $dx, $dy, $dx, $dy, 0.0, 0.0, 0.0, 0.0]];
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{'Q', float, float, float, float}|array{'C', float, float, float, float, float, float}  $s
     * @return non-empty-list<Point>
     */
    private static function curve(array $from, array $s, float $half, float $tolerance, bool $isChords): array
    {
        // A quadratic curve is a cubic one whose handles lie two thirds of the way to its own.
        [$x0, $y0] = $from;
        [$x1, $y1, $x2, $y2, $x3, $y3] = $s[0] === 'Q'
            ? [$x0 + 2 / 3 * ($s[1] - $x0), $y0 + 2 / 3 * ($s[2] - $y0), $s[3] + 2 / 3 * ($s[1] - $s[3]), $s[4] + 2 / 3 * ($s[2] - $s[4]), $s[3], $s[4]]
            : [$s[1], $s[2], $s[3], $s[4], $s[5], $s[6]];
        [$ax, $ay, $bx, $by, $cx, $cy] = [3 * ($x1 - $x0), 3 * ($y1 - $y0), 3 * ($x2 - $x1), 3 * ($y2 - $y1), 3 * ($x3 - $x2), 3 * ($y3 - $y2)];
        $size = abs($ax) + abs($bx) + abs($cx) + abs($ay) + abs($by) + abs($cy);
        if ($size <= self::STEP * $tolerance) {
            return [[$x0, $y0, 1.0, 0.0, 1.0, 0.0, 0.0, 0.0, 0.0, 0.0]];
        }
        /** @return array{float, float, float, float, float, float} x, y, its direction, its speed and its curvature */
        $at = function (float $t) use ($x0, $y0, $x1, $y1, $x2, $y2, $x3, $y3, $ax, $ay, $bx, $by, $cx, $cy, $size): array {
            $u = 1 - $t;
            [$a, $b, $c, $d] = [$u * $u * $u, 3 * $u * $u * $t, 3 * $u * $t * $t, $t * $t * $t];
            [$x, $y] = [$a * $x0 + $b * $x1 + $c * $x2 + $d * $x3, $a * $y0 + $b * $y1 + $c * $y2 + $d * $y3];
            foreach ([$t, $t < 0.5 ? $t + self::BESIDE : $t - self::BESIDE] as $near) {
                $u = 1 - $near;
                [$a, $b, $c] = [$u * $u, 2 * $u * $near, $near * $near];
                [$dx, $dy] = [$a * $ax + $b * $bx + $c * $cx, $a * $ay + $b * $by + $c * $cy];
                $speed = sqrt($dx * $dx + $dy * $dy);
                if ($speed > 1e-9 * $size) {
                    if ($near !== $t) {
                        return [$x, $y, $dx / $speed, $dy / $speed, 0.0, 0.0];
                    }
                    [$ddx, $ddy] = [2 * ($u * ($bx - $ax) + $t * ($cx - $bx)), 2 * ($u * ($by - $ay) + $t * ($cy - $by))];

                    return [$x, $y, $dx / $speed, $dy / $speed, $speed, ($dx * $ddy - $dy * $ddx) / $speed ** 3];
                }
            }

            return [$x, $y, 1.0, 0.0, 0.0, 0.0];
        };
        $last = $at(0.0);
        $start = [$last[0], $last[1], $last[2], $last[3], $last[2], $last[3], 0.0, 0.0, 0.0, 0.0];
        $points = [$start];
        for ($i = 0; $i < self::PIECES; $i++) {
            $stack = [[$i / self::PIECES, ($i + 1) / self::PIECES, $at(($i + 1) / self::PIECES), 0]];
            while ($stack !== []) {
                [$before, $to, $there, $depth] = array_pop($stack);
                $middle = $at(($before + $to) / 2);
                [$out, $in] = $isChords ? [0.0, 0.0] : [$last[4] * ($to - $before) / 3, $there[4] * ($to - $before) / 3];
                if ($depth < self::MOST_CUTS && (self::isOff($last, $middle, $there, $out, $in, $half, $tolerance) || self::isOff($last, $middle, $there, $out, $in, -$half, $tolerance))) {
                    array_push($stack, [($before + $to) / 2, $to, $there, $depth + 1], [$before, ($before + $to) / 2, $middle, $depth + 1]);

                    continue;
                }
                $point = array_pop($points);
                array_push($points, [$point[0], $point[1], $point[2], $point[3], $point[4], $point[5], $point[6], $point[7], $out, $last[5]], [$there[0], $there[1], $there[2], $there[3], $there[2], $there[3], $in, $there[5], 0.0, 0.0]);
                $last = $there;
            }
        }

        return $points;
    }

    /**
     * Whether the edge of a stroke, a curve that begins and ends as the true one does, is off by more than the tolerance between two points.
     *
     * @param  array{float, float, float, float, float, float}  $one
     * @param  array{float, float, float, float, float, float}  $middle
     * @param  array{float, float, float, float, float, float}  $other
     * @param  float  $off  how far to the right of the way, where y runs down
     */
    private static function isOff(array $one, array $middle, array $other, float $out, float $in, float $off, float $tolerance): bool
    {
        [$grows, $ends] = [1 - $off * $one[5], 1 - $off * $other[5]];
        // Where the curve is narrower than the stroke the edge runs backwards, within what is inked.
        if ($grows < 0 && $ends < 0) {
            return false;
        }
        [$x0, $y0, $x1, $y1] = [$one[0] - $off * $one[3], $one[1] + $off * $one[2], $other[0] - $off * $other[3], $other[1] + $off * $other[2]];
        if ($grows < 0 || $ends < 0) {
            return max(abs($x1 - $x0), abs($y1 - $y0)) > $tolerance;
        }
        [$out, $in] = [$out * $grows, $in * $ends];
        $x = ($x0 + $x1) / 2 + 3 / 8 * ($out * $one[2] - $in * $other[2]) - ($middle[0] - $off * $middle[3]);
        $y = ($y0 + $y1) / 2 + 3 / 8 * ($out * $one[3] - $in * $other[3]) - ($middle[1] + $off * $middle[2]);

        // To run a little ahead along the edge does no harm.
        return abs($x * $middle[3] - $y * $middle[2]) > $tolerance || abs($x * $middle[2] + $y * $middle[3]) > self::AHEAD * $tolerance;
    }

    /**
     * Its dashes, each a line of its own.
     *
     * @param  non-empty-list<float>  $dashes
     * @return \Generator<int, self>
     */
    public function dashed(array $dashes, float $offset): \Generator
    {
        // What is inked in an odd row is not where it comes again.
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
        // The first dash of a closed line may be the end of the last one.
        $first = $this->isClosed && $isInked ? [] : null;
        for ($k = 1, $n = count($points); $k < $n; $k++) {
            [$from, $to] = [$points[$k - 1], $points[$k]];
            // Along the curve: an arc that turns by t is longer than its chord by t² / 24.
            $length = hypot($to[0] - $from[0], $to[1] - $from[1]) * (1 + (($to[2] - $from[4]) ** 2 + ($to[3] - $from[5]) ** 2) / 24);
            for ($gone = 0.0; $length - $gone > $left;) {
                $gone += $left;
                $share = $gone / $length;
                [$dx, $dy] = [$from[4] + $share * ($to[2] - $from[4]), $from[5] + $share * ($to[3] - $from[5])];
                $size = hypot($dx, $dy) ?: 1.0;
                $cut = [$from[0] + $share * ($to[0] - $from[0]), $from[1] + $share * ($to[1] - $from[1]), $dx / $size, $dy / $size, $dx / $size, $dy / $size, 0.0, 0.0, 0.0, 0.0];
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
            // A dash that begins where the line ends: a dot, where it has caps.
            $end = $points[count($points) - 1];
            yield new self([$end, $end], false);
        }
    }
}
