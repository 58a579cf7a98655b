<?php

declare(strict_types=1);

namespace TallCrow\Listing;

use TallCrow\Colour\Srgb;

/** Props of one kind, placed at random along the edges of a picture. */
final readonly class Strewn
{
    /**
     * @param  float  $least  least size of a prop, as a fraction of the picture's width
     * @param  non-empty-list<Srgb>  $colours
     */
    public function __construct(
        public StrewnShape $shape,
        public int $count,
        public float $least,
        public float $most,
        public array $colours,
    ) {}
}
