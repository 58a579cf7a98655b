<?php

declare(strict_types=1);

namespace TallCrow\Measure;

/**
 * How a design moves from one print area to another: scaled by one factor about its middle, never stretched.
 * Points map as x' = x · scale + shiftX; all in inches.
 */
final readonly class Refit
{
    private function __construct(
        public float $scale,
        public float $shiftX,
        public float $shiftY,
    ) {}

    /** As large as fits: nothing of the old sheet falls off the new one. */
    public static function contain(PrintArea $from, PrintArea $to): self
    {
        return self::scaled($from, $to, min(
            $to->widthInches() / $from->widthInches(),
            $to->heightInches() / $from->heightInches(),
        ));
    }

    /** Keeps every printed measure; only the sheet about it changes. */
    public static function sameSize(PrintArea $from, PrintArea $to): self
    {
        return self::scaled($from, $to, 1.0);
    }

    /** Sized about the corner of the sheet, then moved by inches. */
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
