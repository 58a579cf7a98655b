<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Look\Grain;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;

/** Edges made uneven: blurred, rippled by a field, and made sharp again. */
final readonly class Roughened implements Looks
{
    private function __construct(private float $by, private float $size, private int $seed) {}

    public static function kind(): string
    {
        return 'roughened';
    }

    public static function parameters(): array
    {
        return [Parameter::length('by', 0.002, 0.2, 0.02), Parameter::length('size', 0.01, 1, 0.06), Parameter::number('seed', 0, 999_999, 1)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('by'), $values->number('size'), (int) $values->number('seed'));
    }

    public function reach(): float
    {
        return $this->by * 2;
    }

    public function look(Image $ink, float $ppi, array $at): Image
    {
        $sigma = max(0.5, $this->by * $ppi);
        $ripple = Grain::over($ink, $this->size * $ppi / 4, $ppi, $this->seed, $at);
        // A straight edge blurred by σ falls from 0.84 to 0.16 within σ either side: the cut wanders between them.
        $soft = Blur::gaussian($ink->alpha(), $sigma)->linear(1)->plus($ripple->linear(0.68, -0.68 * 127.5))->settled();
        $slope = $sigma * sqrt(2 * M_PI);

        return Blur::coloursExtended($ink, $sigma * 3)->withAlpha($soft->linearByte($slope, -127.5 * $slope + 127.5));
    }
}
