<?php

declare(strict_types=1);

namespace TallCrow\Gang;

/** The positions of all copies on their sheets. */
final readonly class Layout
{
    /**
     * @param  list<Laid>  $laid
     * @param  list<float>  $lengths  length of film that each sheet uses, in inches
     */
    public function __construct(
        public GangSheet $film,
        public array $laid,
        public array $lengths,
    ) {}

    /** Area of film used, in square inches. */
    public function area(): float
    {
        return array_sum($this->lengths) * $this->film->width;
    }

    /** Total area of the pieces in square inches: a lower bound for any layout. */
    public function bound(): float
    {
        return array_sum(array_map(fn (Laid $one): float => $one->width * $one->height, $this->laid));
    }

    /** Fraction of the film not covered by pieces. */
    public function waste(): float
    {
        return $this->area() > 0 ? 1 - $this->bound() / $this->area() : 0.0;
    }
}
