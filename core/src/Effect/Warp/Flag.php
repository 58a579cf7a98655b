<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/** A wave that grows from the left edge, like a flag. */
final readonly class Flag implements BendsOutline
{
    private function __construct(private Amount $amount, private float $waves) {}

    public static function kind(): string
    {
        return 'flag';
    }

    public static function parameters(): array
    {
        return [...Amount::parameters(-2, 2, 0.3, 0.5), Parameter::number('waves', 0.25, 8, 1.5)];
    }

    public static function from(Values $values): static
    {
        return new self(Amount::from($values), $values->number('waves'));
    }

    public function isMeasured(): bool
    {
        return $this->amount->isMeasured();
    }

    public function bend(Box $box): Bend
    {
        $crest = $this->amount->of($box->height());
        $width = max(1e-9, $box->width());

        return Bend::columns(fn (float $x): float => -$crest * ($x - $box->left) / $width * sin(2 * M_PI * $this->waves * ($x - $box->left) / $width));
    }
}
