<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\SuitsSize;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Join;

/** Offsets the outline on all sides, outwards or (if negative) inwards, to match the weight of a thin typeface to its neighbours. */
final readonly class Embolden implements Inks, SuitsSize
{
    private function __construct(private float $by, private Join $join) {}

    public static function kind(): string
    {
        return 'embolden';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Form;
    }

    public static function parameters(): array
    {
        return [Parameter::length('by', -0.3, 0.5, 0.03), Parameter::choice('join', Join::class, Join::Round)];
    }

    public static function growing(): array
    {
        return ['by'];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('by'), Join::from($values->word('join')));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->emboldened($this->by, $this->join);
    }
}
