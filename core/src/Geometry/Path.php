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
        $segments = [];
        foreach ($this->segments as $segment) {
            for ($i = 1, $n = count($segment); $i < $n; $i += 2) {
                $x = $segment[$i];
                $y = $segment[$i + 1];
                $segment[$i] = $a * $x + $c * $y + $e;
                $segment[$i + 1] = $b * $x + $d * $y + $f;
            }
            $segments[] = $segment;
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
        foreach ($this->segments as $s) {
            if ($s[0] === 'Z') {
                continue;
            }
            $n = count($s);
            $xs = [$px, $s[$n - 2]];
            $ys = [$py, $s[$n - 1]];
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
            $px = $s[$n - 2];
            $py = $s[$n - 1];
        }
        if ($left > $right) {
            throw NothingToMeasure::path();
        }

        return new Box($left, $top, $right, $bottom);
    }

    /**
     * Bends the outline by any map of the plane. Every segment is cut into chords until none strays from its true
     * image by more than $tolerance (checked at the middle of each), so curves stay curves to the eye.
     *
     * @param  callable(float, float): array{float, float}  $map
     */
    public function mapped(callable $map, float $tolerance): self
    {
        $out = [];
        $start = $at = [0.0, 0.0];
        foreach ($this->segments as $segment) {
            switch ($segment[0]) {
                case 'M':
                    $start = $at = [$segment[1], $segment[2]];
                    $out[] = ['M', ...$map($at[0], $at[1])];
                    break;
                case 'Z':
                    if ($at !== $start) {
                        $this->cut(Bezier::line($at, $start), $map, $tolerance, $out);
                    }
                    $at = $start;
                    $out[] = ['Z'];
                    break;
                default:
                    $this->cut(Bezier::curve($at, $segment), $map, $tolerance, $out);
                    $at = [$segment[count($segment) - 2], $segment[count($segment) - 1]];
            }
        }

        /** @var list<Segment> $out */
        return new self($out);
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
                $this->cut(Bezier::curve($at, $segment), fn (float $x, float $y): array => [$x, $y], $tolerance, $out);
            } else {
                $out[] = $segment;
            }
            if ($segment[0] !== 'Z') {
                $at = [$segment[count($segment) - 2], $segment[count($segment) - 1]];
            }
        }

        /** @var list<Segment> $out */
        return Contours::startedSmooth(new self($out));
    }

    /** An SVG path's d attribute, to a ten-thousandth of the unit unless told otherwise. */
    public function toSvg(int $decimals = 4): string
    {
        $scale = 10 ** $decimals;
        $d = '';
        foreach ($this->segments as $segment) {
            $d .= $segment[0];
            for ($i = 1, $n = count($segment); $i < $n; $i++) {
                $d .= round($segment[$i] * $scale) / $scale.' ';
            }
        }

        return $d;
    }

    /**
     * @param  callable(float): array{float, float}  $curve
     * @param  callable(float, float): array{float, float}  $map
     * @param  list<array<int, mixed>>  $out
     */
    private function cut(callable $curve, callable $map, float $tolerance, array &$out): void
    {
        $place = function (float $t) use ($curve, $map): array {
            [$x, $y] = $curve($t);

            return $map($x, $y);
        };
        $limit = $tolerance * $tolerance;
        $halve = function (float $from, array $p, float $to, array $q, int $depth) use (&$halve, $place, $limit, &$out): void {
            $middle = ($from + $to) / 2;
            $m = $place($middle);
            $stray = ($m[0] - ($p[0] + $q[0]) / 2) ** 2 + ($m[1] - ($p[1] + $q[1]) / 2) ** 2;
            if ($depth >= 12 || ($depth >= 2 && $stray <= $limit)) {
                $out[] = ['L', $q[0], $q[1]];

                return;
            }
            $halve($from, $p, $middle, $m, $depth + 1);
            $halve($middle, $m, $to, $q, $depth + 1);
        };
        $halve(0.0, $place(0.0), 1.0, $place(1.0), 0);
    }
}
