<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Geometry\Path;

/**
 * The single-arc envelope: top and bottom edge follow one circular arc and letters stay upright. The rise at the
 * middle is bend × half the width, so that 1 is a half circle; below nothing the arch hangs. About 0.35 is usual for
 * airbrush art (common practice).
 */
final readonly class Arch implements BendsOutline
{
    private function __construct(private float $bend) {}

    public static function kind(): string
    {
        return 'arch';
    }

    public static function parameters(): array
    {
        return [Parameter::share('bend', -1, 1, 0.35)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('bend'));
    }

    public function bend(Path $path, float $tolerance): Path
    {
        if ($path->isEmpty() || abs($this->bend) < 1e-6) {
            return $path;
        }
        $box = $path->bounds();
        $half = $box->width() / 2;
        $middle = $box->centreX();
        $rise = abs($this->bend) * $half;
        $radius = self::radius($rise, $half);
        $sign = $this->bend <=> 0;

        return $path->mapped(
            fn (float $x, float $y): array => [$x, $y - $sign * (sqrt(max(0.0, $radius ** 2 - ($x - $middle) ** 2)) - ($radius - $rise))],
            $tolerance,
        );
    }

    /** The circle through a chord of two halves with the given sagitta: (s² + h²) ÷ 2s. */
    public static function radius(float $sagitta, float $halfChord): float
    {
        return ($sagitta ** 2 + $halfChord ** 2) / (2 * $sagitta);
    }
}
