<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Measure\HouseRule;

/** What a design is for: product and side, how it is printed, the house's rule for pictures, and the cloth colours on offer. */
final readonly class Brief
{
    /** @param  list<Garment>  $garments */
    public function __construct(
        public Product $product = Product::Tee,
        public Side $side = Side::Front,
        public PrintMethod $method = PrintMethod::DirectToGarment,
        public HouseRule $rule = HouseRule::Strict300,
        public array $garments = [],
    ) {}

    /** @param  list<Garment>  $garments */
    public function offering(array $garments): self
    {
        return new self($this->product, $this->side, $this->method, $this->rule, $garments);
    }
}
