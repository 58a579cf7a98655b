<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/**
 * Bends the whole piece, letters included, around a circle: the middle line keeps its length, the upper part is stretched
 * and the lower part compressed. Bend 1 closes the ring; a negative bend hangs. In inches, the bend is the rise of the
 * middle line.
 */
final readonly class RingBend implements BendsOutline
{
    private function __construct(private Amount $amount) {}

    public static function kind(): string
    {
        return 'ring';
    }

    public static function parameters(): array
    {
        return Amount::parameters(-1, 1, 0.6);
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
        $width = $box->width();
        $signed = $this->amount->of(1.0);
        if (abs($signed) < 1e-6 || $width < 1e-9) {
            return Bend::none();
        }
        $radius = $this->amount->isMeasured() ? Arc::radiusOfLength($width, abs($signed)) : $width / (2 * M_PI * abs($signed));
        $up = $signed <=> 0;
        [$x0, $y0] = [$box->centreX(), $box->centreY()];
        // Points that would pass the circle's centre are kept close to it.
        $out = fn (float $y): float => max($radius * 0.02, $radius + $up * ($y0 - $y));

        return new Bend(
            fn (float $x, float $y): array => [
                $x0 + $out($y) * sin(($x - $x0) / $radius),
                $y0 + $up * ($radius - $out($y) * cos(($x - $x0) / $radius)),
            ],
            function (float $x, float $y) use ($x0, $y0, $radius, $up): array {
                [$across, $down] = [$x - $x0, $radius - $up * ($y - $y0)];

                return [$x0 + $radius * atan2($across, $down), $y0 - $up * (hypot($across, $down) - $radius)];
            },
        );
    }
}
