<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Geometry\Path;
use TallCrow\Geometry\Region;
use TallCrow\Mask\Stroke;
use TallCrow\Mask\Symmetry;

/** One hand-drawn stroke of solid ink, stored as the points of its path. */
final readonly class InkStroke
{
    public const MOST_POINTS = 2000;

    /** Angle of the flat nib in degrees, and its thickness as a fraction of its width. */
    private const SLANT = -40.0;

    private const THIN = 0.09;

    private const BRISTLES = 9;

    /** Dots of a spray for each width of the line's length, and the most of one stroke. */
    private const DOTS = 55;

    private const MOST_DOTS = 3000;

    /** Steps between two points of the pen, along a smooth line. */
    private const STEPS = 4;

    /** @param  list<array{float, float}>  $points  inches about the middle that symmetries turn about */
    public function __construct(
        public array $points,
        public float $width,
        public Tip $tip = Tip::Round,
        public Symmetry $symmetry = Symmetry::None,
        public int $count = 6,
        public int $seed = 1,
    ) {}

    public function scaled(float $by): self
    {
        return new self(array_map(fn (array $point): array => [$point[0] * $by, $point[1] * $by], $this->points), $this->width * $by, $this->tip, $this->symmetry, $this->count, $this->seed);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['points' => $this->points, 'width' => $this->width, 'tip' => $this->tip->value, 'symmetry' => $this->symmetry->value, 'count' => $this->count, 'seed' => $this->seed];
    }

    /** Its outline and those of its images. */
    public function path(): Path
    {
        // Symmetries are those of any brush, about the middle of a square of one inch.
        $lines = (new Stroke(array_map(fn (array $p): array => [$p[0] + 0.5, $p[1] + 0.5], $this->points), $this->width, 1, false, $this->symmetry, $this->count))->lines(1.0);
        $paths = [];
        foreach ($lines as $line) {
            $points = self::smooth(array_map(fn (array $p): array => [$p[0] - 0.5, $p[1] - 0.5], $line));
            if ($points !== []) {
                $paths[] = match ($this->tip) {
                    Tip::Round => Region::along($points, $this->width)->path(),
                    Tip::Slash => $this->slash($points),
                    Tip::Scribble => $this->scribble($points),
                    Tip::Spray => $this->spray($points),
                };
            }
        }

        return Path::join(...$paths);
    }

    /**
     * A curve through all points (Catmull and Rom, 1974), as short chords.
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function smooth(array $points): array
    {
        $last = count($points) - 1;
        if ($last < 2) {
            return $points;
        }
        $smooth = [$points[0]];
        for ($i = 0; $i < $last; $i++) {
            [$a, $b, $c, $d] = [$points[max(0, $i - 1)], $points[$i], $points[$i + 1], $points[min($last, $i + 2)]];
            for ($step = 1; $step <= self::STEPS; $step++) {
                $t = $step / self::STEPS;
                $at = fn (int $k): float => 0.5 * (2 * $b[$k] + ($c[$k] - $a[$k]) * $t + (2 * $a[$k] - 5 * $b[$k] + 4 * $c[$k] - $d[$k]) * $t ** 2 + (3 * $b[$k] - $a[$k] - 3 * $c[$k] + $d[$k]) * $t ** 3);
                $smooth[] = [$at(0), $at(1)];
            }
        }

        return $smooth;
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    private function slash(array $points): Path
    {
        $thin = $this->width * self::THIN;
        $half = ($this->width - $thin) / 2;
        [$nx, $ny] = [$half * cos(deg2rad(self::SLANT)), $half * sin(deg2rad(self::SLANT))];
        $parts = [];
        foreach ($points as $i => $from) {
            $to = $points[$i + 1] ?? $from;
            $parts[] = Region::along([[$from[0] - $nx, $from[1] - $ny], [$from[0] + $nx, $from[1] + $ny]], $thin);
            if ($to === $from) {
                continue;
            }
            $quad = [[$from[0] - $nx, $from[1] - $ny], [$from[0] + $nx, $from[1] + $ny], [$to[0] + $nx, $to[1] + $ny], [$to[0] - $nx, $to[1] - $ny]];
            $parts[] = Region::filledBy(Path::polygon($quad))->moved($thin / 2);
        }

        return Region::united($parts)->path();
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    private function scribble(array $points): Path
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($this->seed));
        $share = fn (): float => $random->getInt(0, 1_000_000) / 1_000_000;
        $count = count($points);
        $parts = [];
        for ($bristle = 0; $bristle < self::BRISTLES; $bristle++) {
            $off = (($bristle + 0.5) / self::BRISTLES - 0.5) * $this->width;
            $rim = abs(2 * $off / $this->width);
            $run = [];
            $wet = true;
            foreach ($points as $i => $point) {
                [$before, $after] = [$points[max(0, $i - 1)], $points[min($count - 1, $i + 1)]];
                $long = max(1e-9, hypot($after[0] - $before[0], $after[1] - $before[1]));
                $at = [$point[0] - ($after[1] - $before[1]) / $long * $off, $point[1] + ($after[0] - $before[0]) / $long * $off];
                // The further along, and the nearer to its rim, the more of the brush runs dry.
                $dry = 0.02 + 0.3 * ($i / max(1, $count - 1)) ** 2 * (0.4 + $rim);
                $wet = $wet ? $share() > $dry : $share() < 0.35;
                if ($wet) {
                    $run[] = $at;
                }
                if ($run !== [] && (! $wet || $i === $count - 1)) {
                    $parts[] = Region::along($run, $this->width / self::BRISTLES * (0.75 + 0.5 * $share()));
                    $run = [];
                }
            }
        }

        return $parts === [] ? Path::empty() : Region::united($parts)->path();
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    private function spray(array $points): Path
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($this->seed));
        $share = fn (): float => ($random->getInt(0, 1_000_000) + 0.5) / 1_000_001;
        $long = 0.0;
        foreach (array_slice($points, 1) as $i => $point) {
            $long += hypot($point[0] - $points[$i][0], $point[1] - $points[$i][1]);
        }
        $dots = (int) min(self::MOST_DOTS, self::DOTS * (1 + $long / max(1e-6, $this->width)));
        $parts = [];
        for ($i = 0; $i < $dots; $i++) {
            $place = $share() * (count($points) - 1);
            $one = $points[(int) $place];
            $next = $points[min(count($points) - 1, (int) $place + 1)];
            $t = $place - floor($place);
            // About the line as a bell, its deviation a quarter of the width (Box and Muller, 1958).
            $far = $this->width / 4 * sqrt(-2 * log($share()));
            $way = 2 * M_PI * $share();
            $radius = $this->width * (0.006 + 0.028 * $share() ** 3);
            [$x, $y] = [$one[0] + ($next[0] - $one[0]) * $t + $far * cos($way), $one[1] + ($next[1] - $one[1]) * $t + $far * sin($way)];
            $parts[] = Path::polygon(array_map(fn (int $k): array => [$x + $radius * cos(M_PI * $k / 6), $y + $radius * sin(M_PI * $k / 6)], range(0, 11)));
        }

        return Path::join(...$parts);
    }
}
