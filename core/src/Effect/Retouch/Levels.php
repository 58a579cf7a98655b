<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\Retouches;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Levels: tones up to $black become black, from $white on white; a $middle above 1 lightens the midtones (a gamma). */
final readonly class Levels implements Retouches
{
    private function __construct(private float $black, private float $white, private float $middle) {}

    public static function kind(): string
    {
        return 'levels';
    }

    public static function parameters(): array
    {
        return [Parameter::share('black', 0, 0.95, 0), Parameter::share('white', 0.05, 1, 1), Parameter::number('middle', 0.1, 8, 1), Parameter::area()];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('black'), $values->number('white'), $values->number('middle'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        $span = max(0.01, $this->white - $this->black);

        return Lookup::toned($ink, fn (float $v): float => min(1.0, max(0.0, ($v - $this->black) / $span)) ** (1 / $this->middle));
    }
}
