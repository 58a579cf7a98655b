<?php

declare(strict_types=1);

namespace TallCrow\Gang;

/** All copies on their sheets. */
final readonly class Layout
{
    /**
     * @param  list<Laid>  $laid
     * @param  list<float>  $lengths  of film that each sheet uses, inches
     */
    public function __construct(
        public GangSheet $film,
        public array $laid,
        public array $lengths,
    ) {}

    /** Square inches of film that are used. */
    public function area(): float
    {
        return array_sum($this->lengths) * $this->film->width;
    }

    /** Square inches that the pieces need by themselves: no layout uses less. */
    public function bound(): float
    {
        return array_sum(array_map(fn (Laid $one): float => $one->width * $one->height, $this->laid));
    }

    /** Share of the film that is not covered by pieces. */
    public function waste(): float
    {
        return $this->area() > 0 ? 1 - $this->bound() / $this->area() : 0.0;
    }
}
