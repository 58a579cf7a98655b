<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Path;
use TallCrow\Geometry\Region;

/** An area of one colour. */
final readonly class FlatInk
{
    /** @param  ?Path  $path  its outline with true curves, if nothing was cut out of it */
    public function __construct(
        public string $layer,
        public Srgb $colour,
        public Region $region,
        private ?Path $path = null,
    ) {}

    /** In inches on the sheet. */
    public function outline(): Path
    {
        return $this->path ?? $this->region->path();
    }

    public function without(Region $taken): self
    {
        return new self($this->layer, $this->colour, $this->region->minus($taken));
    }
}
