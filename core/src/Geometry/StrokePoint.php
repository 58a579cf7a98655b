<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * A point of a stroked line.
 *
 * @internal
 */
final readonly class StrokePoint
{
    public function __construct(public float $x, public float $y, public StrokeHeading $in, public StrokeHeading $out) {}

    /** A point without any direction. */
    public static function alone(float $x, float $y): self
    {
        $right = new StrokeHeading(1.0, 0.0);

        return new self($x, $y, $right, $right);
    }

    public static function within(float $x, float $y, StrokeHeading $heading): self
    {
        return new self($x, $y, $heading, $heading);
    }

    public function comingFrom(self $other): self
    {
        return new self($this->x, $this->y, $other->in, $this->out);
    }

    public function goingOn(StrokeHeading $out): self
    {
        return new self($this->x, $this->y, $this->in, $out);
    }

    /** The same for the reversed line. */
    public function turned(): self
    {
        return new self($this->x, $this->y, $this->out->turned(), $this->in->turned());
    }

    /** Whether the curve turns by more than 60° before the next point. Points are so close together that this only happens at a cusp. */
    public function turnsBefore(self $next): bool
    {
        return $this->out->cosine($next->in) < cos(deg2rad(60));
    }
}
