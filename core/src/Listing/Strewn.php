<?php

declare(strict_types=1);

namespace TallCrow\Listing;

use TallCrow\Colour\Srgb;

/** Some things of one kind, strewn along the edges of a picture by chance. */
final readonly class Strewn
{
    /**
     * @param  float  $least  size of one, as a share of the picture's width
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
