<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\Retouches;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Brightness, and contrast about middle grey. */
final readonly class Tone implements Retouches
{
    private function __construct(private float $brightness, private float $contrast) {}

    public static function kind(): string
    {
        return 'tone';
    }

    public static function parameters(): array
    {
        return [Parameter::share('brightness', -1, 1, 0), Parameter::share('contrast', -1, 3, 0.2), Parameter::area()];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('brightness'), $values->number('contrast'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return Lookup::toned($ink, fn (float $v): float => ($v - 0.5) * (1 + $this->contrast) + 0.5 + $this->brightness);
    }
}
