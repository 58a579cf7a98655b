<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Geometry\Bezier;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;

/**
 * A measure of a path's complexity: its total vertical and horizontal travel (curves by four chords), in heights and widths of its box, which is the mean
 * number of edges that a scanline crosses. A circle has 2; a hundred strokes across the box have 100.
 *
 * @phpstan-import-type Segment from Path
 */
final readonly class PathTravel
{
    private const STEPS = 4;

    /** @param  ?Box  $box  null for an empty path */
    private function __construct(public float $across, public float $down, public ?Box $box) {}

    public static function of(string $d): self
    {
        [$left, $top, $right, $bottom] = [INF, INF, -INF, -INF];
        [$across, $down] = [0.0, 0.0];
        [$x, $y, $startX, $startY] = [0.0, 0.0, 0.0, 0.0];
        foreach (SvgPath::segments($d) as $segment) {
            if ($segment[0] === 'M') {
                [$x, $y, $startX, $startY] = [$segment[1], $segment[2], $segment[1], $segment[2]];
            }
            foreach ($segment[0] === 'Z' ? [[$startX, $startY]] : self::points($x, $y, $segment) as [$toX, $toY]) {
                $across += abs($toX - $x);
                $down += abs($toY - $y);
                [$x, $y] = [$toX, $toY];
                [$left, $top, $right, $bottom] = [min($left, $x), min($top, $y), max($right, $x), max($bottom, $y)];
            }
        }

        return new self($across, $down, $left > $right ? null : new Box($left, $top, $right, $bottom));
    }

    public function times(): float
    {
        return $this->box === null ? 0.0 : max($this->across / max(1e-9, $this->box->width()), $this->down / max(1e-9, $this->box->height()));
    }

    /** About how many vertices a path has, each of which may have a marker. */
    public static function corners(string $d): int
    {
        return (int) ceil(preg_match_all('/[-+]?(?:\d+\.?\d*|\.\d+)/', $d) / 2);
    }

    /**
     * @param  Segment  $s  any but Z
     * @return list<array{float, float}>
     */
    private static function points(float $x, float $y, array $s): array
    {
        $points = [];
        for ($i = 1; $i < self::STEPS && ($s[0] === 'Q' || $s[0] === 'C'); $i++) {
            $t = $i / self::STEPS;
            $points[] = $s[0] === 'Q'
                ? [Bezier::quadratic($x, $s[1], $s[3], $t), Bezier::quadratic($y, $s[2], $s[4], $t)]
                : [Bezier::cubic($x, $s[1], $s[3], $s[5], $t), Bezier::cubic($y, $s[2], $s[4], $s[6], $t)];
        }
        $points[] = Path::end($s);

        return $points;
    }
}
