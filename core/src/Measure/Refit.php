<?php

declare(strict_types=1);

namespace TallCrow\Measure;

/**
 * A similarity transform from one print area to another: scaled by one factor about its centre, never stretched.
 * x' = x · scale + shiftX, in inches.
 */
final readonly class Refit
{
    private function __construct(
        public float $scale,
        public float $shiftX,
        public float $shiftY,
    ) {}

    /** The largest scale at which the whole old sheet fits on the new one. */
    public static function contain(PrintArea $from, PrintArea $to): self
    {
        return self::scaled($from, $to, min(
            $to->widthInches() / $from->widthInches(),
            $to->heightInches() / $from->heightInches(),
        ));
    }

    /** Keeps the printed size; only the sheet changes. */
    public static function sameSize(PrintArea $from, PrintArea $to): self
    {
        return self::scaled($from, $to, 1.0);
    }

    /** Scales about the sheet's corner, then shifts by inches. */
    public static function by(float $scale, float $shiftX, float $shiftY): self
    {
        return new self($scale, $shiftX, $shiftY);
    }

    public function x(float $x): float
    {
        return $x * $this->scale + $this->shiftX;
    }

    public function y(float $y): float
    {
        return $y * $this->scale + $this->shiftY;
    }

    private static function scaled(PrintArea $from, PrintArea $to, float $scale): self
    {
        return new self(
            $scale,
            ($to->widthInches() - $from->widthInches() * $scale) / 2,
            ($to->heightInches() - $from->heightInches() * $scale) / 2,
        );
    }
}
