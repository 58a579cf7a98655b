<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/** The arch envelope: top and bottom edge follow the same circular arc, and letters stay upright. The rise in the middle is
 * bend × half the width, so 1 is a half circle; a negative bend arches downwards. About 0.35 is usual for airbrush art
 * (common practice). */
final readonly class Arch implements BendsOutline
{
    private function __construct(private Amount $amount) {}

    public static function kind(): string
    {
        return 'arch';
    }

    public static function parameters(): array
    {
        return Amount::parameters(-1, 1, 0.35);
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
        $half = $box->width() / 2;
        $middle = $box->centreX();
        $signed = $this->amount->of($half);
        $rise = min(abs($signed), $half);
        if ($rise < 1e-9) {
            return Bend::none();
        }
        $radius = Arc::radius($rise, $half);
        $sign = $signed <=> 0;

        return Bend::columns(fn (float $x): float => -$sign * (sqrt(max(0.0, $radius ** 2 - ($x - $middle) ** 2)) - ($radius - $rise)));
    }
}
