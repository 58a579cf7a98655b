<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** A luminance mask: the layer shows as far as a picture over its box is light. */
final readonly class PictureMask implements Mask
{
    use HasUsual;

    public function __construct(
        public string $file,
        public Usual $usual = new Usual,
        /** Scale of the picture; at 1 it just covers the layer's box. */
        public float $scale = 1.0,
        /** Offset in inches from the box's centre, and rotation in degrees clockwise. */
        public float $x = 0.0,
        public float $y = 0.0,
        public float $turn = 0.0,
    ) {}

    public function files(): array
    {
        return $this->file === '' ? [] : [$this->file];
    }

    public function scaled(float $by): static
    {
        return new self($this->file, $this->usual, $this->scale, $this->x * $by, $this->y * $by, $this->turn);
    }

    public function toArray(): array
    {
        return ['kind' => 'picture', 'file' => $this->file, 'scale' => $this->scale, 'x' => $this->x, 'y' => $this->y, 'turn' => $this->turn] + $this->usual->toArray();
    }
}
