<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * Direction and curvature of a stroked line as it enters or leaves a point.
 *
 * @internal
 */
final readonly class StrokeHeading
{
    /**
     * @param  float  $dx  direction, of length 1
     * @param  float  $handle  distance of the curve's control point; 0 where it is straight
     * @param  float  $bend  curvature, positive to the right (y points down)
     */
    public function __construct(public float $dx, public float $dy, public float $handle = 0.0, public float $bend = 0.0) {}

    public static function along(float $dx, float $dy): self
    {
        $length = hypot($dx, $dy);

        return $length > 0 ? new self($dx / $length, $dy / $length) : new self(1.0, 0.0);
    }

    /** The same for the reversed line. */
    public function turned(): self
    {
        return new self(-$this->dx, -$this->dy, $this->handle, -$this->bend);
    }

    public function cosine(self $other): float
    {
        return $this->dx * $other->dx + $this->dy * $other->dy;
    }

    /** Sine of the angle to another heading, positive to the right (y points down). */
    public function sine(self $other): float
    {
        return $this->dx * $other->dy - $this->dy * $other->dx;
    }
}
