<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Geometry\Box;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;

/** The print file's size in pixels and its resolution. */
final readonly class Sheet
{
    public function __construct(
        public int $width,
        public int $height,
        public Ppi $ppi,
    ) {}

    public static function of(PrintArea $area): self
    {
        return new self($area->width, $area->height, $area->ppi);
    }

    public function area(): PrintArea
    {
        return PrintArea::pixels('', $this->width, $this->height, $this->ppi);
    }

    /** In inches. */
    public function box(): Box
    {
        return new Box(0, 0, $this->width / $this->ppi->value, $this->height / $this->ppi->value);
    }
}
