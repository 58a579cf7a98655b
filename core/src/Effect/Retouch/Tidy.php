<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Cutout\EdgeCare;
use TallCrow\Effect\ClearsInk;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Drops specks and fills pinholes below a size. */
final readonly class Tidy implements ClearsInk
{
    private function __construct(private float $specks, private float $pinholes) {}

    public static function kind(): string
    {
        return 'tidy';
    }

    public static function parameters(): array
    {
        return [Parameter::length('specks', 0, 1, 0.03), Parameter::length('pinholes', 0, 1, 0.02), Parameter::area()];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('specks'), $values->number('pinholes'));
    }

    public function isMeasured(): bool
    {
        return true;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return EdgeCare::tidied($ink, $this->specks * $perInch, $this->pinholes * $perInch);
    }
}
