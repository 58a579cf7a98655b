<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** How much wear words may have before they count as lost, set by the seller. The defaults are our choice. */
final readonly class Limits
{
    public function __construct(
        /** Fraction of a letter. */
        public float $letterLost = 0.4,
        /** Least stroke width that must remain, in inches. */
        public float $stroke = 0.012,
    ) {}

    /** @return array{letterLost: float, stroke: float} */
    public function toArray(): array
    {
        return ['letterLost' => $this->letterLost, 'stroke' => $this->stroke];
    }
}
