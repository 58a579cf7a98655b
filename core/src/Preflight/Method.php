<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\PrintMethod;

/** Limits of a print method, in inches: common practice of print houses. A house's own figures take precedence. */
final readonly class Method
{
    private function __construct(
        /** Finest line that prints, and finest gap that stays open, in inches. */
        public float $line,
        public float $gap,
        /** Least x-height of words, in inches. */
        public float $xHeight,
        /** Whether the method has no white ink, so that cloth shows through. */
        public bool $needsLightCloth,
        /** Finest halftone dot, in inches. */
        public float $dot,
        /** Solid areas larger than this, in square inches, feel stiff; null if that does not matter for the method. */
        public ?float $solid,
    ) {}

    /** The same method with other limits, in inches. */
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
