<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Look\Grain;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;

/** As from a rubber stamp: ink that is thin in places and gathers along the edges. */
final readonly class Stamped implements Looks
{
    private function __construct(private float $amount, private float $size, private int $seed) {}

    public static function kind(): string
    {
        return 'stamped';
    }

    public static function parameters(): array
    {
        return [Parameter::share('amount', 0, 0.9, 0.3), Parameter::length('size', 0.01, 1, 0.08), Parameter::number('seed', 0, 999_999, 1)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('amount'), $values->number('size'), (int) $values->number('seed'));
    }

    public function reach(): float
    {
        return 0.15;
    }

    public function ppi(): float
    {
        // Blots of several pixels are the same at half as many.
        return $this->size >= 0.04 ? self::PRINT / 2 : self::PRINT;
    }

    public function look(Image $ink, float $ppi, array $at, \Closure $whole): Image
    {
        $field = Grain::over($ink, $this->size / 4, $ppi, $this->seed, $at);
        // Inside, far from any edge, ink is missing first.
        $inside = Blur::wide($ink->alpha(), max(0.5, 0.03 * $ppi), $at)->linearByte(2.0, -255);
        $thin = $field->linearByte(8.0, -255 * 8.0 * (1 - $this->amount) + 127.5)->times($inside);

        return $ink->masked($thin->inverted());
    }
}
