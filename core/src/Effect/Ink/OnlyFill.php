<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\Aim;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Part;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;

/** Restricts the fills that follow to a part: halves of letters, every second letter or word, or a single one. */
final readonly class OnlyFill implements Inks
{
    private function __construct(private Aim $aim) {}

    public static function kind(): string
    {
        return 'only';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Flat;
    }

    public static function parameters(): array
    {
        return [Parameter::choice('part', Part::class, Part::RightHalves), Parameter::number('number', 1, 200, 1)];
    }

    public static function from(Values $values): static
    {
        return new self(new Aim(Part::from($values->word('part')), (int) $values->number('number')));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->aimed($this->aim);
    }
}
