<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Type\Letter;

/** One shape: rectangle, ellipse, polygon, star, ring or line. */
final readonly class ShapeSource implements FigureSource
{
    use HoldsNoLayers;

    public function __construct(
        public Shape $shape,
        /** Corners of a polygon, points of a star. */
        public int $count,
        /** Fraction of the radius: a star's inner radius or a ring's thickness; for a line its thickness as a fraction of its length. */
        public float $share,
    ) {}

    public function figures(?float $width, ?float $height): array
    {
        return [Letter::figure($this->outline($width ?? $height ?? 1.0, $width === null ? null : $height))];
    }

    public function called(): string
    {
        return ucfirst($this->shape->value);
    }

    public function files(): array
    {
        return [];
    }

    public function hasColours(): bool
    {
        return false;
    }

    public function scaled(float $by): self
    {
        return $this;
    }

    public function match(\Closure $text, \Closure $art, \Closure $figures, \Closure $group): mixed
    {
        return $figures($this);
    }

    public function toArray(): array
    {
        return ['kind' => 'shape', 'shape' => $this->shape->value, 'count' => $this->count, 'share' => $this->share];
    }

    /** Centred on the origin, in the same units as its size. */
    private function outline(float $width, ?float $height): Path
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
}
