<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/**
 * A shape as a mask. Its place and size are shares of the layer's box, so that it follows when the layer is moved, scaled or rotated;
 * the feather is in inches.
 */
final readonly class ShapeMask implements Mask
{
    use HasUsual;

    public function __construct(
        public MaskShape $shape,
        /** Centre in shares of the box: (0.5, 0.5) is the layer's centre. */
        public float $x,
        public float $y,
        public float $width,
        public float $height,
        /** Width of the soft edge, half inside the shape and half outside. */
        public float $feather,
        public int $count = 5,
        public Usual $usual = new Usual,
    ) {}

    public function isSoft(): bool
    {
        return $this->feather > 0;
    }

    public function scaled(float $by): static
    {
        return new self($this->shape, $this->x, $this->y, $this->width, $this->height, min(self::MOST_FEATHER, $this->feather * $by), $this->count, $this->usual);
    }

    public function hard(): static
    {
        return new self($this->shape, $this->x, $this->y, $this->width, $this->height, 0.0, $this->count, $this->usual);
    }

    public function toArray(): array
    {
        return [
            'kind' => $this->shape->value, 'x' => $this->x, 'y' => $this->y, 'width' => $this->width, 'height' => $this->height,
            'feather' => $this->feather, 'count' => $this->count,
        ] + $this->usual->toArray();
    }
}
