<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;

/** Soft as from an airbrush: the edge fades over a breadth. It leaves half-transparent ink, which a halftone makes solid again. */
final readonly class Airbrushed implements Looks
{
    private function __construct(private float $softness) {}

    public static function kind(): string
    {
        return 'airbrushed';
    }

    public static function parameters(): array
    {
        return [Parameter::length('softness', 0.01, 2, 0.15)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('softness'));
    }

    public function reach(): float
    {
        return $this->softness * 1.2 + 0.05;
    }

    public function ppi(): float
    {
        return self::PRINT;
    }

    public function look(Image $ink, float $ppi, array $at, \Closure $whole): Image
    {
        return Blur::coloursExtended($ink, $this->softness * $ppi, $at)->withAlpha(Blur::wide($ink->alpha(), $this->softness * $ppi / 4, $at));
    }
}
