<?php

declare(strict_types=1);

namespace TallCrow\Mask;

use TallCrow\Geometry\Box;

/** One brush stroke, stored as its points, so that it is independent of resolution. */
final readonly class Stroke
{
    public const MOST_POINTS = 2000;

    /** Largest coordinate of a point, in shares of the box. */
    public const REACH = 12.0;

    /** Bounds of the width, in inches. */
    public const LEAST_WIDTH = 0.005;

    public const MOST_WIDTH = 20.0;

    /** @param  list<array{float, float}>  $points  points in shares of the box that it was drawn on */
    public function __construct(
        public array $points,
        /** Width in inches. */
        public float $width,
        /** 1: a hard edge; 0: soft from the centre line outwards. */
        public float $hardness,
        /** Restores instead of erasing. */
        public bool $restores,
        public Symmetry $symmetry = Symmetry::None,
        /** Number of images in radial symmetry. */
        public int $count = 6,
    ) {}

    /**
     * The stroke and its symmetric images about the box's centre.
     *
     * @param  float  $ratio  height ÷ width of the box, so that rotated images keep their shape
     * @return list<list<array{float, float}>>
     */
    public function lines(float $ratio): array
    {
        $flipped = fn (bool $across, bool $down): array => array_map(fn (array $p): array => [$across ? 1 - $p[0] : $p[0], $down ? 1 - $p[1] : $p[1]], $this->points);

        return match ($this->symmetry) {
            Symmetry::None => [$this->points],
            Symmetry::Mirror => [$this->points, $flipped(true, false)],
            Symmetry::Quadrants => [$this->points, $flipped(true, false), $flipped(false, true), $flipped(true, true)],
            Symmetry::Radial => array_map(fn (int $i): array => $this->turned(2 * M_PI * $i / max(1, $this->count), $ratio), range(0, max(1, $this->count) - 1)),
        };
    }

    public function scaled(float $by): self
    {
        return new self($this->points, max(self::LEAST_WIDTH, min(self::MOST_WIDTH, $this->width * $by)), $this->hardness, $this->restores, $this->symmetry, $this->count);
    }

    /** The same stroke in shares of another box. Its symmetry is then about that box's centre: see apart(). */
    public function on(Box $was, Box $is): self
    {
        $share = fn (float $at, float $start, float $length): float => max(-self::REACH, min(self::REACH, ($at - $start) / max(1e-9, $length)));
        $points = array_map(fn (array $p): array => [
            $share($was->left + $p[0] * $was->width(), $is->left, $is->width()),
            $share($was->top + $p[1] * $was->height(), $is->top, $is->height()),
        ], $this->points);

        return new self($points, $this->width, $this->hardness, $this->restores, $this->symmetry, $this->count);
    }

    /** @return list<self> its images as separate strokes, on the same box */
    public function apart(Box $box): array
    {
        return array_map(fn (array $line): self => new self($line, $this->width, $this->hardness, $this->restores), $this->lines($box->height() / max(1e-9, $box->width())));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'points' => $this->points, 'width' => $this->width, 'hardness' => $this->hardness, 'restores' => $this->restores,
            'symmetry' => $this->symmetry->value, 'count' => $this->count,
        ];
    }

    /** @return list<array{float, float}> */
    private function turned(float $angle, float $ratio): array
    {
        [$cos, $sin] = [cos($angle), sin($angle)];

        return array_map(function (array $p) use ($cos, $sin, $ratio): array {
            [$x, $y] = [$p[0] - 0.5, ($p[1] - 0.5) * $ratio];

            return [0.5 + $x * $cos - $y * $sin, 0.5 + ($x * $sin + $y * $cos) / max(1e-9, $ratio)];
        }, $this->points);
    }
}
