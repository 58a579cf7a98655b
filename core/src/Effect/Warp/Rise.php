<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/** Rises from left to right along a smooth step, letters upright; the rise is a share of the width, or inches. */
final readonly class Rise implements BendsOutline
{
    private function __construct(private Amount $amount) {}

    public static function kind(): string
    {
        return 'rise';
    }

    public static function parameters(): array
    {
        return Amount::parameters(-1, 1, 0.2);
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
        $climb = $this->amount->of($box->width());
        $width = max(1e-9, $box->width());
        $step = function (float $x) use ($box, $width): float {
            $t = min(1.0, max(0.0, ($x - $box->left) / $width));

            return $t * $t * (3 - 2 * $t);
        };

        return Bend::columns(fn (float $x): float => -$climb * $step($x));
    }
}
