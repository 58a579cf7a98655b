<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Cutout\FlatField;
use TallCrow\Effect\LooksFor;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Retouches;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/**
 * Corrects the uneven light on a photographed page, board or wall, so that its background has one colour. Pictures without a smooth background along the rim
 * are unchanged.
 */
final readonly class EvenLight implements LooksFor, Retouches
{
    private function __construct(private float $amount) {}

    public static function kind(): string
    {
        return 'even-light';
    }

    public static function parameters(): array
    {
        return [Parameter::share('amount', 0, 1, 1), Parameter::area()];
    }

    public function findsNothing(): string
    {
        return 'evens out light, and finds no smooth ground along the rim';
    }

    public static function from(Values $values): static
    {
        return new self($values->number('amount'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return FlatField::of($ink)?->evened($ink, $this->amount) ?? $ink;
    }
}
