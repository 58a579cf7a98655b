<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\Retouches;
use TallCrow\Effect\Values;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;

/** Changes saturation at constant luma (Rec. ITU-R BT.709); -1 gives grey. */
final readonly class Saturation implements Retouches
{
    private function __construct(private float $by) {}

    public static function kind(): string
    {
        return 'saturation';
    }

    public static function parameters(): array
    {
        return [Parameter::share('by', -1, 2, 0.25), Parameter::area()];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('by'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return ColourBands::saturated($ink, 1 + $this->by);
    }
}
