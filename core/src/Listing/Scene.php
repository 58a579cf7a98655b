<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** A listing picture to make: which garment, from which side, in which scene. */
final readonly class Scene
{
    public function __construct(
        public string $product,
        public bool $back,
        public SceneSheet $sheet,
        /** Random seed for folds, rotation and background; the same number gives the same picture. */
        public int $seed = 1,
        public int $width = 2500,
        public int $height = 2100,
    ) {}

    /** The same scene at a smaller size. */
    public function shrunk(int $by): self
    {
        return new self($this->product, $this->back, $this->sheet, $this->seed, intdiv($this->width + $by - 1, $by), intdiv($this->height + $by - 1, $by));
    }

    /** Rotation of the garment in degrees. */
    public function turn(): float
    {
        return $this->sheet->turn * (2 * ((new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($this->seed + 77)))->getInt(0, 1000) / 1000) - 1);
    }
}
