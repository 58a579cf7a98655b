<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\LaysAbout;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\StandsOut;
use TallCrow\Effect\Values;

/** Fills the area within the outermost outline, behind the ink: a base for line drawings. As a knockout, the whole area is cut out. */
final readonly class Backing implements Inks, LaysAbout, StandsOut
{
    private function __construct(private Srgb $colour) {}

    public static function kind(): string
    {
        return 'backing';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Form;
    }

    public static function parameters(): array
    {
        return [Parameter::colour('colour', '#f3ead7')];
    }

    public static function liesBeside(): bool
    {
        return true;
    }

    public static function from(Values $values): static
    {
        return new self($values->colour('colour'));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->backed($this->colour);
    }
}
