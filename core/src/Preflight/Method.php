<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\PrintMethod;

/** What a way of printing holds: common practice of print houses, in inches; a house's own figures go before these. */
final readonly class Method
{
    private function __construct(
        /** Finest line that prints, and finest gap that stays open. */
        public float $line,
        public float $gap,
        /** Least x-height of words. */
        public float $xHeight,
        /** Whether cloth shows through and there is no white ink. */
        public bool $needsLightCloth,
        /** Finest dot of a halftone. */
        public float $dot,
        /** Square inches of one solid area from which on it feels like a plate; null where that does not matter. */
        public ?float $solid,
    ) {}

    /** The same way of printing by another's figures, in inches. */
    public function holding(float $line, float $gap, float $xHeight): self
    {
        return new self($line, $gap, $xHeight, $this->needsLightCloth, $this->dot, $this->solid);
    }

    public static function of(PrintMethod $method): self
    {
        return match ($method) {
            PrintMethod::DirectToGarment => new self(0.014, 0.014, 0.05, false, 0.008, null),
            PrintMethod::Transfer => new self(0.02, 0.014, 0.06, false, 0.012, 60.0),
            PrintMethod::Sublimation => new self(0.01, 0.01, 0.04, true, 0.006, null),
        };
    }
}
