<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/**
 * The middle grows taller along a parabola and the ends keep their height. Bend 1 doubles the height of the middle; a bend in inches is the rise of the edge
 * there.
 */
final readonly class Bulge implements BendsOutline
{
    private function __construct(private Amount $amount) {}

    public static function kind(): string
    {
        return 'bulge';
    }

    public static function parameters(): array
    {
        return Amount::parameters(0, 2, 0.4, 0.5);
    }

    public static function from(Values $values): static
    {
        return new self(Amount::from($values));
    }

    public function isMeasured(): bool
    {
        return $this->amount->isMeasured();
    }

    public function bend(Box $box): Bend
    {
        $half = max(1e-9, $box->height() / 2);

        return Swelling::of($box, min(2, $this->amount->of($half) / $half));
    }
}
