<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;

final readonly class ShapeSource implements Source
{
    public function __construct(
        public Shape $shape,
        /** Corners of a polygon, points of a star. */
        public int $count,
        /** Share of the radius: a star's inner corners, a ring's thickness, a line's thickness as a share of its length. */
        public float $share,
    ) {}

    /** Centred on the origin, in the units of its size. */
    public function outline(float $width, ?float $height): Path
    {
        $height ??= $this->shape === Shape::Line ? $width * $this->share : $width;

        return match ($this->shape) {
            Shape::Rectangle, Shape::Line => Outline::rectangle($width, $height),
            Shape::Ellipse => Outline::ellipse($width, $height),
            Shape::Polygon => Outline::polygon($this->count, $width, $height),
            Shape::Star => Outline::star($this->count, $this->share, $width, $height),
            Shape::Ring => Outline::ring($this->share, $width, $height),
        };
    }

    public function toArray(): array
    {
        return ['kind' => 'shape', 'shape' => $this->shape->value, 'count' => $this->count, 'share' => $this->share];
    }
}
