<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Colour\Srgb;

/** The ink of a layer: a fill, and rings behind it from the inmost outwards. */
final readonly class Inking
{
    /**
     * @param  ?Srgb  $fill  null keeps the colours that the art has of itself
     * @param  list<Ring>  $rings  inmost first
     */
    private function __construct(
        public ?Srgb $fill,
        public array $rings,
    ) {}

    public static function plain(?Srgb $fill): self
    {
        return new self($fill, []);
    }

    public function filled(Srgb $colour): self
    {
        return new self($colour, $this->rings);
    }

    public function ringed(Ring $ring): self
    {
        return new self($this->fill, [...$this->rings, $ring]);
    }

    /** How far the outermost ring reaches beyond the outline, in inches. */
    public function reach(): float
    {
        return array_sum(array_map(fn (Ring $ring): float => $ring->width, $this->rings));
    }

    /** How far a mitred corner may reach at most. */
    public function longestReach(): float
    {
        $most = max([1.0, ...array_map(fn (Ring $ring): float => $ring->join === Join::Mitre ? $ring->mitreLimit : 1.0, $this->rings)]);

        return $this->reach() * $most;
    }
}
