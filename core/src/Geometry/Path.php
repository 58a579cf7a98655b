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
        [$a, $b, $c, $d, $e, $f] = [$by->a, $by->b, $by->c, $by->d, $by->e, $by->f];
        /** @var list<array<int, float>> $segments their letters aside */
        $segments = $this->segments;
        foreach ($segments as $i => $s) {
            for ($k = 1, $n = count($s); $k < $n; $k += 2) {
                [$x, $y] = [$s[$k], $s[$k + 1]];
                $segments[$i][$k] = $a * $x + $c * $y + $e;
                $segments[$i][$k + 1] = $b * $x + $d * $y + $f;
            }
        }

        /** @var list<Segment> $segments */
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
        foreach ($this->segments as $segment) {
            if ($segment[0] === 'Z') {
                continue;
            }
            /** @var array<int, float> $s its letter aside */
            $s = $segment;
            $n = count($s);
            [$x, $y] = [$s[$n - 2], $s[$n - 1]];
            if ($x < $left) {
                $left = $x;
            }
            if ($x > $right) {
                $right = $x;
            }
            if ($y < $top) {
                $top = $y;
            }
            if ($y > $bottom) {
                $bottom = $y;
            }
            // A curve lies within its handles, so it is looked into only where one of them sticks out.
            for ($i = 1; $i < $n - 2; $i += 2) {
                if ($s[$i] < $left || $s[$i] > $right || $s[$i + 1] < $top || $s[$i + 1] > $bottom) {
                    $xs = $n === 5 ? Bezier::quadraticExtremes($px, $s[1], $s[3]) : Bezier::cubicExtremes($px, $s[1], $s[3], $s[5]);
                    $ys = $n === 5 ? Bezier::quadraticExtremes($py, $s[2], $s[4]) : Bezier::cubicExtremes($py, $s[2], $s[4], $s[6]);
                    [$left, $right] = [min([$left, ...$xs]), max([$right, ...$xs])];
                    [$top, $bottom] = [min([$top, ...$ys]), max([$bottom, ...$ys])];
                    break;
                }
            }
            [$px, $py] = [$x, $y];
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
     * What the far edges of a polygon pass over when it is moved in a straight line: with its first and its last place
     * filled, the solid block between them. Near edges sweep what the polygon covers anyway, so they are left out, and
     * the block has no second edge under the polygon's own. Curves must have been cut into chords.
     */
    public function swept(float $x, float $y): self
    {
        $way = $this->area() <=> 0.0;
        $out = [];
        $at = $start = [0.0, 0.0];
        foreach ($this->segments as $segment) {
            $to = $segment[0] === 'Z' ? $start : self::end($segment);
            if ($segment[0] === 'M') {
                $start = $to;
            } elseif ($way * (($to[0] - $at[0]) * $y - ($to[1] - $at[1]) * $x) < -1e-12) {
                // All quarters run the same way round, so that the nonzero rule fills where they overlap.
                array_push($out, ['M', $to[0], $to[1]], ['L', $at[0], $at[1]], ['L', $at[0] + $x, $at[1] + $y], ['L', $to[0] + $x, $to[1] + $y], ['Z']);
            }
            $at = $to;
        }

        return new self($out);
    }

    /** Of a polygon, by the shoelace formula: above nothing where its outer contours run clockwise on a sheet whose y points down. */
    public function area(): float
    {
        $sum = 0.0;
        $at = $start = [0.0, 0.0];
        foreach ($this->segments as $segment) {
            $to = $segment[0] === 'Z' ? $start : self::end($segment);
            if ($segment[0] === 'M') {
                $start = $to;
            } else {
                $sum += $at[0] * $to[1] - $to[0] * $at[1];
            }
            $at = $to;
        }

        return $sum / 2;
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
