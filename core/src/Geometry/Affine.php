<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** x' = a·x + c·y + e, y' = b·x + d·y + f: the order of SVG's matrix(). */
final readonly class Affine
{
    public function __construct(
        public float $a,
        public float $b,
        public float $c,
        public float $d,
        public float $e,
        public float $f,
    ) {}

    public static function identity(): self
    {
        return new self(1, 0, 0, 1, 0, 0);
    }

    public static function scale(float $x, float $y): self
    {
        return new self($x, 0, 0, $y, 0, 0);
    }

    public static function shift(float $x, float $y): self
    {
        return new self(1, 0, 0, 1, $x, $y);
    }

    /** A rotation, clockwise as y points down. */
    public static function turn(float $degrees): self
    {
        $angle = deg2rad($degrees);

        return new self(cos($angle), sin($angle), -sin($angle), cos($angle), 0, 0);
    }

    /** The composition: this map first, then $next. */
    public function then(self $next): self
    {
        return new self(
            $next->a * $this->a + $next->c * $this->b,
            $next->b * $this->a + $next->d * $this->b,
            $next->a * $this->c + $next->c * $this->d,
            $next->b * $this->c + $next->d * $this->d,
            $next->a * $this->e + $next->c * $this->f + $next->e,
            $next->b * $this->e + $next->d * $this->f + $next->f,
        );
    }

    /** @throws NothingToMeasure when the map is singular */
    public function inverse(): self
    {
        $area = $this->a * $this->d - $this->b * $this->c;
        if (abs($area) < 1e-18) {
            throw NothingToMeasure::flattened();
        }

        return new self(
            $this->d / $area, -$this->b / $area, -$this->c / $area, $this->a / $area,
            ($this->c * $this->f - $this->d * $this->e) / $area, ($this->b * $this->e - $this->a * $this->f) / $area,
        );
    }

    /** @return array{float, float} */
    public function apply(float $x, float $y): array
    {
        return [$this->a * $x + $this->c * $y + $this->e, $this->b * $x + $this->d * $y + $this->f];
    }

    /** The mean scale factor: √|determinant|. */
    public function factor(): float
    {
        return sqrt(abs($this->a * $this->d - $this->b * $this->c));
    }

    public function toSvg(): string
    {
        return sprintf('matrix(%.10g %.10g %.10g %.10g %.10g %.10g)', $this->a, $this->b, $this->c, $this->d, $this->e, $this->f);
    }
}
