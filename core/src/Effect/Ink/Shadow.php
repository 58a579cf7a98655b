<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\CastShadow;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\LaysAbout;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\StandsOut;
use TallCrow\Effect\SuitsSize;
use TallCrow\Effect\Values;

/** A hard shadow behind the piece and its rings: a shifted copy, or a solid block swept from the piece. */
final readonly class Shadow implements Inks, LaysAbout, StandsOut, SuitsSize
{
    private function __construct(private CastShadow $shadow) {}

    public static function kind(): string
    {
        return 'shadow';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Form;
    }

    public static function parameters(): array
    {
        return [
            Parameter::length('distance', 0, 6, 0.15),
            Parameter::angle('angle', 45),
            Parameter::colour('colour', '#1f1d1a'),
            Parameter::oneOf('as', ['copy', 'solid'], 'copy'),
        ];
    }

    public static function liesBeside(): bool
    {
        return true;
    }

    public static function growing(): array
    {
        return ['distance'];
    }

    public static function from(Values $values): static
    {
        return new self(new CastShadow(
            $values->number('distance') * cos(deg2rad($values->number('angle'))),
            $values->number('distance') * sin(deg2rad($values->number('angle'))),
            $values->colour('colour'),
            $values->word('as') === 'solid',
        ));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->shadowed($this->shadow);
    }
}
