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

    /** @param  list<list<array{float, float}>>  $contours  closed: each repeats its first point at the end */
    public static function chain(array $contours): self
    {
        $segments = [];
        foreach ($contours as $points) {
            $last = count($points) - 1;
            foreach ($points as $i => [$x, $y]) {
                $segments[] = $i === $last ? ['Z'] : [$i === 0 ? 'M' : 'L', $x, $y];
            }
        }

        return new self($segments);
    }

    public function isEmpty(): bool
    {
        return $this->segments === [];
    }

    public function transformed(Affine $by): self
    {
        [$a, $b, $c, $d, $e, $f] = [$by->a, $by->b, $by->c, $by->d, $by->e, $by->f];
        /** @var list<array<int, float>> $segments without their letters */
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
     * The tight bounding box: by the extremes of curves, not by their control points.
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
            /** @var array<int, float> $s without its letter */
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
            // A curve lies within the hull of its control points: compute its extremes only if one of them is outside the box so far.
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
     * Maps the outline by any smooth map of the plane. Segments are halved until mapping their end and control points approximates the true image within the
     * tolerance, so that curves stay curves.
     *
     * @param  callable(float, float): array{float, float}  $map
     * @param  float  $longest  longer segments are always halved, so that no wave is missed
     */
    public function mapped(callable $map, float $tolerance, float $longest = INF): self
    {
        return Bending::path($this, $map, $tolerance, $longest);
    }

    /**
     * The contours flattened to closed polygons within the tolerance; contours without area are left out.
     *
     * @return list<list<array{float, float}>> each repeats its first point at the end
     */
    public function contours(float $tolerance): array
    {
        $contours = [];
        $points = [];
        foreach ([...$this->segments, ['Z']] as $segment) {
            if ($segment[0] === 'M' || $segment[0] === 'Z') {
                if (count($points) > 2) {
                    $points[0] === $points[count($points) - 1] || $points[] = $points[0];
                    count($points) > 3 && $contours[] = $points;
                }
                $points = $segment[0] === 'M' ? [[$segment[1], $segment[2]]] : [];

                continue;
            }
            $last = $points[count($points) - 1] ?? [0.0, 0.0];
            $chords = [];
            $segment[0] === 'L' ? $chords[] = $segment : Bezier::chords($last, $segment, $tolerance, $chords);
            foreach ($chords as $chord) {
                $to = self::end($chord);
                $to === $last || $points[] = $to;
                $last = $to;
            }
        }

        return $contours;
    }

    /**
     * The area swept when the outline is moved along a vector, to be filled by the nonzero rule: the start, the end, and what each stretch of edges passes
     * over that lies on one side of the vector. The path must be flattened, with outer contours counterclockwise by their signed area, as those of a Region.
     */
    public function swept(float $x, float $y): self
    {
        $out = [...$this->segments, ...$this->transformed(Affine::shift($x, $y))->segments];
        $stretch = [];
        // Numbers apart, not pairs: the optimiser of PHP 8.2 took the start for the constant pair that it was before the loop.
        [$startX, $startY, $atX, $atY, $side] = [0.0, 0.0, 0.0, 0.0, 0];
        foreach ([...$this->segments, ['M', 0.0, 0.0]] as $segment) {
            [$toX, $toY] = $segment[0] === 'Z' ? [$startX, $startY] : self::end($segment);
            $turn = ($toX - $atX) * $y - ($toY - $atY) * $x;
            // An edge along the vector passes over nothing.
            $own = abs($turn) < 1e-15 ? $side : ($turn > 0.0 ? 1 : -1);
            if ($segment[0] === 'M' || $own !== $side) {
                array_push($out, ...self::passed($side > 0 ? $stretch : array_reverse($stretch), $x, $y));
                $stretch = [[$atX, $atY]];
                $side = $own;
            }
            if ($segment[0] === 'M') {
                $startX = $toX;
                $startY = $toY;
                $stretch = [];
                $side = 0;
            }
            $stretch[] = [$toX, $toY];
            $atX = $toX;
            $atY = $toY;
        }

        return new self($out);
    }

    /**
     * What a stretch of edges passes over.
     *
     * @param  list<array{float, float}>  $points
     * @return list<Segment>
     */
    private static function passed(array $points, float $x, float $y): array
    {
        if (count($points) < 2) {
            return [];
        }
        $there = array_map(fn (array $point): array => ['L', $point[0], $point[1]], $points);
        $back = array_map(fn (array $point): array => ['L', $point[0] + $x, $point[1] + $y], array_reverse($points));

        return [['M', ...$points[0]], ...array_slice($there, 1), ...$back, ['Z']];
    }

    /** A compact binary form for the cache: the count of numbers in each segment, then the numbers. */
    public function packed(): string
    {
        $kinds = '';
        $numbers = [];
        foreach ($this->segments as $segment) {
            $kinds .= array_shift($segment);
            array_push($numbers, ...$segment);
        }

        return $kinds."\n".pack('e*', ...$numbers);
    }

    public static function unpacked(string $bytes): self
    {
        $kinds = strstr($bytes, "\n", true) ?: '';
        $numbers = array_values((array) unpack('e*', substr($bytes, strlen($kinds) + 1)));
        $segments = [];
        $at = 0;
        foreach (str_split($kinds) as $kind) {
            $count = match ($kind) {
                'M', 'L' => 2,
                'Q' => 4,
                'C' => 6,
                default => 0,
            };
            $segments[] = match ($count) {
                2 => [$kind, $numbers[$at], $numbers[$at + 1]],
                0 => ['Z'],
                default => [$kind, ...array_slice($numbers, $at, $count)],
            };
            $at += $count;
        }

        /** @var list<Segment> $segments */
        return new self($kinds === '' ? [] : $segments);
    }

    /** The d attribute of an SVG path. */
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
     * End point of a segment.
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
