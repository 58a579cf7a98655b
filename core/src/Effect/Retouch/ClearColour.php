<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Colour\Srgb;
use TallCrow\Cutout\Background;
use TallCrow\Effect\ClearsInk;
use TallCrow\Effect\LooksFor;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Removes everything similar to one colour (CIEDE2000). */
final readonly class ClearColour implements ClearsInk, LooksFor
{
    private function __construct(private Srgb $colour, private float $tolerance) {}

    public static function kind(): string
    {
        return 'clear-colour';
    }

    public static function parameters(): array
    {
        return [Parameter::colour('colour', '#ffffff'), Parameter::number('tolerance', 0.5, 60, 12), Parameter::area()];
    }

    public function findsNothing(): string
    {
        return 'clears a colour, and finds none like it';
    }

    public static function from(Values $values): static
    {
        return new self($values->colour('colour'), $values->number('tolerance'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return Background::ofColour($ink, $this->colour, $this->tolerance);
    }
}
