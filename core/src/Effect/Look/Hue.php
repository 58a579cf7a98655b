<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;

/** Rotates hues and changes saturation; lightness is kept. */
final readonly class Hue implements Looks
{
    private function __construct(private float $by, private float $vivid) {}

    public static function kind(): string
    {
        return 'hue';
    }

    public static function parameters(): array
    {
        return [Parameter::angle('by', 0), Parameter::share('vivid', 0, 3, 1)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('by'), $values->number('vivid'));
    }

    public function reach(): float
    {
        return 0.0;
    }

    public function ppi(): float
    {
        return 1.0;
    }

    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image
    {
        return ColourBands::saturated(ColourBands::turned($ink, $this->by), $this->vivid);
    }
}
