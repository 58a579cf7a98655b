<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Measure\PrintArea;

/** A print area in pixels; one of the seller's own list has an id. */
final readonly class Area extends Answer
{
    public function __construct(
        public string $name,
        public int $width,
        public int $height,
        public float $ppi,
        public ?int $id = null,
    ) {}

    public static function of(PrintArea $area, ?int $id = null): self
    {
        return new self($area->name, $area->width, $area->height, $area->ppi->value, $id);
    }
}
