<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Cutout\EdgeCare;
use TallCrow\Effect\ClearsInk;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Moves the edge inwards (outwards if negative), and removes the background's colour from a fringe along it. */
final readonly class EdgeOfCutout implements ClearsInk
{
    private function __construct(private float $choke, private float $fringe) {}

    public static function kind(): string
    {
        return 'edge';
    }

    public static function parameters(): array
    {
        return [Parameter::length('choke', -0.25, 0.25, 0.005), Parameter::length('fringe', 0, 0.25, 0.01), Parameter::area()];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('choke'), $values->number('fringe'));
    }

    public function isMeasured(): bool
    {
        return true;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return EdgeCare::withoutFringe(EdgeCare::choked($ink, $this->choke * $perInch), $this->fringe * $perInch);
    }
}
