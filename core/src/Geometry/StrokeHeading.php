<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * How a line that is stroked comes to a point or goes on from it.
 *
 * @internal
 */
final readonly class StrokeHeading
{
    /**
     * @param  float  $dx  its direction, of length 1
     * @param  float  $handle  how far off the handle of the curve lies; none where it is straight
     * @param  float  $bend  its curvature, positive where it turns to the right and y runs down
     */
    public function __construct(public float $dx, public float $dy, public float $handle = 0.0, public float $bend = 0.0) {}

    public static function along(float $dx, float $dy): self
    {
        $length = hypot($dx, $dy);

        return $length > 0 ? new self($dx / $length, $dy / $length) : new self(1.0, 0.0);
    }

    /** The same seen from the other end of the line. */
    public function turned(): self
    {
        return new self(-$this->dx, -$this->dy, $this->handle, -$this->bend);
    }

    public function cosine(self $other): float
    {
        return $this->dx * $other->dx + $this->dy * $other->dy;
    }

    /** Positive where the other one lies to the right and y runs down. */
    public function sine(self $other): float
    {
        return $this->dx * $other->dy - $this->dy * $other->dx;
    }
}
