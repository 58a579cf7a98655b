<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * An outline of closed contours made of lines and Bézier curves, filled by the nonzero rule.
 *
 * @phpstan-type Segment array{'M', float, float}|array{'L', float, float}|array{'Q', float, float, float, float}|array{'C', float, float, float, float, float, float}|array{'Z'}
 */
final readonly class Path
{
    /** @param  list<Segment>  $segments */
    public function __construct(public array $segments) {}

    public static function empty(): self
    {
        return new self([]);
    }

    public static function join(self ...$paths): self
    {
        return new self(array_merge([], ...array_map(fn (self $path): array => $path->segments, array_values($paths))));
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    public static function polygon(array $points): self
    {
        $segments = [];
        foreach ($points as $i => [$x, $y]) {
            $segments[] = [$i === 0 ? 'M' : 'L', $x, $y];
        }
        $segments[] = ['Z'];

        return new self($segments);
    }

    public function isEmpty(): bool
    {
        return $this->segments === [];
    }

    public function transformed(Affine $by): self
    {
        $segments = [];
        foreach ($this->segments as $s) {
            $segments[] = match ($s[0]) {
                'Z' => $s,
                'Q' => ['Q', ...$by->apply($s[1], $s[2]), ...$by->apply($s[3], $s[4])],
                'C' => ['C', ...$by->apply($s[1], $s[2]), ...$by->apply($s[3], $s[4]), ...$by->apply($s[5], $s[6])],
                default => [$s[0], ...$by->apply($s[1], $s[2])],
            };
        }

        return new self($segments);
    }

    /**
     * The tight bounds, by the extremes of each curve and not of its handles.
     *
     * @throws NothingToMeasure for an empty path
     */
    public function bounds(): Box
    {
        $left = $top = INF;
        $right = $bottom = -INF;
        $px = $py = 0.0;
        foreach ($this->segments as $s) {
            if ($s[0] === 'Z') {
                continue;
            }
            [$toX, $toY] = self::end($s);
            $xs = [$px, $toX];
            $ys = [$py, $toY];
            if ($s[0] === 'M') {
                $xs = [$s[1]];
                $ys = [$s[2]];
            } elseif ($s[0] === 'Q') {
                $xs = [...$xs, ...Bezier::quadraticExtremes($px, $s[1], $s[3])];
                $ys = [...$ys, ...Bezier::quadraticExtremes($py, $s[2], $s[4])];
            } elseif ($s[0] === 'C') {
                $xs = [...$xs, ...Bezier::cubicExtremes($px, $s[1], $s[3], $s[5])];
                $ys = [...$ys, ...Bezier::cubicExtremes($py, $s[2], $s[4], $s[6])];
            }
            $left = min($left, ...$xs);
            $right = max($right, ...$xs);
            $top = min($top, ...$ys);
            $bottom = max($bottom, ...$ys);
            [$px, $py] = [$toX, $toY];
        }
        if ($left > $right) {
            throw NothingToMeasure::path();
        }

        return new Box($left, $top, $right, $bottom);
    }

    /**
     * Bends the outline by any smooth map of the plane. A segment is cut in halves until the map of its ends and handles
     * strays from its true image by no more than the tolerance, so curves stay curves.
     *
     * @param  callable(float, float): array{float, float}  $map
     * @param  float  $longest  a segment longer than this is cut unseen, so that no wave is stepped over
     */
    public function mapped(callable $map, float $tolerance, float $longest = INF): self
    {
        return Bending::path($this, $map, $tolerance, $longest);
    }

    /**
     * The same outline, fit to be stroked: curves as chords within the tolerance, since strokers cut the outside of a
     * curve's tight turns short, and no contour begun at a corner.
     */
    public function forStroking(float $tolerance): self
    {
        $out = [];
        $at = [0.0, 0.0];
        foreach ($this->segments as $segment) {
            if ($segment[0] === 'Q' || $segment[0] === 'C') {
                Bezier::chords($at, $segment, $tolerance, $out);
            } else {
                $out[] = $segment;
            }
            if ($segment[0] !== 'Z') {
                $at = self::end($segment);
            }
        }

        return Contours::startedSmooth(Contours::thinned(new self($out), $tolerance));
    }

    /**
     * All that the edge of a polygon passes over when it is moved in a straight line: with its first and its last place
     * filled, the solid block between them. Curves must have been cut into chords.
     */
    public function swept(float $x, float $y): self
    {
        $out = [];
        $at = $start = [0.0, 0.0];
        foreach ($this->segments as $segment) {
            $to = $segment[0] === 'Z' ? $start : self::end($segment);
            if ($segment[0] === 'M') {
                $start = $to;
            } else {
                $turn = ($to[0] - $at[0]) * $y - ($to[1] - $at[1]) * $x;
                // All quarters run the same way round, so that the nonzero rule fills where they overlap.
                [$one, $other] = $turn > 0 ? [$at, $to] : [$to, $at];
                if (abs($turn) > 1e-12) {
                    array_push($out, ['M', $one[0], $one[1]], ['L', $other[0], $other[1]], ['L', $other[0] + $x, $other[1] + $y], ['L', $one[0] + $x, $one[1] + $y], ['Z']);
                }
            }
            $at = $to;
        }

        return new self($out);
    }

    /** An SVG path's d attribute, to a ten-thousandth of the unit unless told otherwise. */
    public function toSvg(int $decimals = 4): string
    {
        $scale = 10 ** $decimals;
        $d = '';
        foreach ($this->segments as $segment) {
            $d .= $segment[0];
            foreach (array_slice($segment, 1) as $number) {
                $d .= round((float) $number * $scale) / $scale.' ';
            }
        }

        return $d;
    }

    /**
     * Where a segment ends.
     *
     * @param  Segment  $s  any but Z
     * @return array{float, float}
     */
    public static function end(array $s): array
    {
        return match ($s[0]) {
            'C' => [$s[5], $s[6]],
            'Q' => [$s[3], $s[4]],
            'Z' => throw NothingToMeasure::close(),
            default => [$s[1], $s[2]],
        };
    }
}
