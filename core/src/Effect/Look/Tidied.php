<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Cutout\EdgeCare;
use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Image;

/** Removes specks and fills pinholes that masks and looks left in a piece's ink. */
final readonly class Tidied implements Looks
{
    /** Assumed largest length of a speck, in sides of the square of equal area. */
    private const LONG = 3.0;

    private function __construct(private float $specks, private float $pinholes) {}

    public static function kind(): string
    {
        return 'tidied';
    }

    public static function parameters(): array
    {
        return [Parameter::length('specks', 0, 0.5, 0.02), Parameter::length('pinholes', 0, 0.5, 0.02)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('specks'), $values->number('pinholes'));
    }

    public function reach(): float
    {
        return self::LONG * max($this->specks, $this->pinholes);
    }

    public function ppi(): float
    {
        // Specks of several pixels can be measured at half the resolution.
        return min($this->specks ?: 1.0, $this->pinholes ?: 1.0) >= 0.02 ? self::PRINT / 2 : self::PRINT;
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        return EdgeCare::tidied($ink, $this->specks * $grid->ppi, $this->pinholes * $grid->ppi);
    }
}
