<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** How far wear may go before words count as lost; a seller sets it. The defaults are our choice. */
final readonly class Limits
{
    public function __construct(
        /** Share of a letter. */
        public float $letterLost = 0.4,
        /** Thinnest stroke that may be left, in inches. */
        public float $stroke = 0.012,
    ) {}

    /** @return array{letterLost: float, stroke: float} */
    public function toArray(): array
    {
        return ['letterLost' => $this->letterLost, 'stroke' => $this->stroke];
    }
}
