<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/** The middle is compressed and the ends keep their height. Bend 0.5 halves the height of the middle; a bend in inches is how far the edge sinks there. */
final readonly class Pinch implements BendsOutline
{
    private function __construct(private Amount $amount) {}

    public static function kind(): string
    {
        return 'pinch';
    }

    public static function parameters(): array
    {
        return Amount::parameters(0, 0.9, 0.4, 0.5);
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

        return Swelling::of($box, -min(0.9, $this->amount->of($half) / $half));
    }
}
