<?php

declare(strict_types=1);

namespace TallCrow\Listing;

use TallCrow\Colour\Srgb;

/** A picture to list a design by: which garment, of what cloth, before what, with which folds. */
final readonly class Scene
{
    public function __construct(
        public string $product,
        public bool $back,
        public Srgb $cloth,
        public Backdrop $backdrop = Backdrop::Plain,
        /** Of folds and backdrop; the same number gives the same picture. */
        public int $seed = 1,
        public int $width = 2500,
        public int $height = 2100,
    ) {}

    /** The same scene as a smaller picture. */
    public function shrunk(int $by): self
    {
        return new self($this->product, $this->back, $this->cloth, $this->backdrop, $this->seed, intdiv($this->width + $by - 1, $by), intdiv($this->height + $by - 1, $by));
    }
}
