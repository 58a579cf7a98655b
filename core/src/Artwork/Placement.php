<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** Where a piece lies: inches from the sheet's top left corner, its turn in degrees clockwise. */
final readonly class Placement
{
    public function __construct(
        public float $x,
        public float $y,
        /** Of the fill's own ink, before rings. */
        public float $width,
        /** null follows the width. */
        public ?float $height,
        public float $turn,
        public Flip $flip,
    ) {}

    public function moved(float $dx, float $dy): self
    {
        return new self($this->x + $dx, $this->y + $dy, $this->width, $this->height, $this->turn, $this->flip);
    }

    public function scaled(float $by, float $aboutX, float $aboutY): self
    {
        return new self(
            $aboutX + ($this->x - $aboutX) * $by,
            $aboutY + ($this->y - $aboutY) * $by,
            $this->width * $by,
            $this->height === null ? null : $this->height * $by,
            $this->turn,
            $this->flip,
        );
    }
}
