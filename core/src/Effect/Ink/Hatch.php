<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\Hatching;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\LeavesCloth;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\StandsOut;
use TallCrow\Effect\SuitsSize;
use TallCrow\Effect\Values;

/** Parallel lines inside the ink: in a colour, or cut out so that cloth shows. */
final readonly class Hatch implements Inks, LeavesCloth, StandsOut, SuitsSize
{
    private function __construct(private Hatching $hatching) {}

    public static function kind(): string
    {
        return 'hatch';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Overlay;
    }

    public static function parameters(): array
    {
        return [
            Parameter::length('spacing', 0.01, 2, 0.06),
            Parameter::length('width', 0.004, 1, 0.02),
            Parameter::angle('angle', 45),
            Parameter::length('inset', 0, 1, 0),
            Parameter::oneOf('as', ['ink', 'cut'], 'ink'),
            Parameter::colour('colour', '#1f1d1a'),
        ];
    }

    public static function liesBeside(): bool
    {
        return true;
    }

    public static function growing(): array
    {
        return ['spacing', 'width'];
    }

    public static function from(Values $values): static
    {
        return new self(new Hatching(
            $values->number('spacing'), $values->number('width'), $values->number('angle'), $values->number('inset'),
            $values->word('as') === 'cut' ? null : $values->colour('colour'),
        ));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->hatched($this->hatching);
    }
}
