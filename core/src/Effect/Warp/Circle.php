<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\CurvesLine;
use TallCrow\Effect\Values;
use TallCrow\Type\Letter;

/**
 * Letters on a circle, each rotated but not distorted. Bend 1 goes all the way round; with a negative bend they hang inside
 * the lower half. In inches, the bend is the sagitta of the baseline.
 */
final readonly class Circle implements CurvesLine
{
    private function __construct(private Amount $amount) {}

    public static function kind(): string
    {
        return 'circle';
    }

    public static function parameters(): array
    {
        return Amount::parameters(-1, 1, 0.4);
    }

    public static function from(Values $values): static
    {
        return new self(Amount::from($values));
    }

    public function isMeasured(): bool
    {
        return $this->amount->isMeasured();
    }

    public function place(array $letters, float $capital): array
    {
        $signed = $this->amount->of(1.0);
        if ($letters === [] || abs($signed) < 1e-6) {
            return $letters;
        }
        $width = Letter::together($letters)->bounds()->width();

        return LettersOnCircle::place($letters, $this->amount->isMeasured() ? Arc::radiusOfLength($width, abs($signed)) : $width / (2 * M_PI * abs($signed)), $signed <=> 0);
    }
}
