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

    /** @param  list<list<array{float, float}>>  $contours  closed, the first point again at the end of each */
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
     * Closed chains of points, curves as chords within the tolerance; what encloses nothing is left out.
     *
     * @return list<list<array{float, float}>> the first point again at the end of each
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
     * All that the outline passes over when it is moved in a straight line, by the nonzero rule: its first place, its last, and what each edge
     * sweeps between them. Curves must have been cut into chords, and outer contours run counterclockwise by their signed area, as a region's do.
     */
    public function swept(float $x, float $y): self
    {
        $out = [...$this->segments, ...$this->transformed(Affine::shift($x, $y))->segments];
        $at = $start = [0.0, 0.0];
        foreach ($this->segments as $segment) {
            $to = $segment[0] === 'Z' ? $start : self::end($segment);
            if ($segment[0] === 'M') {
                $start = $to;
            } else {
                $turn = ($to[0] - $at[0]) * $y - ($to[1] - $at[1]) * $x;
                // All run the same way round as the outline, so that the nonzero rule fills where they overlap.
                [$from, $until] = $turn > 0 ? [$at, $to] : [$to, $at];
                abs($turn) < 1e-15 || array_push($out, ['M', ...$from], ['L', ...$until], ['L', $until[0] + $x, $until[1] + $y], ['L', $from[0] + $x, $from[1] + $y], ['Z']);
            }
            $at = $to;
        }

        return new self($out);
    }

    /** In few bytes, to be kept: how many numbers each segment has, and the numbers. */
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
