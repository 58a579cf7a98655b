<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\LetterColours;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;

/** One colour for each letter in turn, or a ramp that runs from the first letter to the last. */
final readonly class ColourEachLetter implements Inks
{
    private function __construct(private LetterColours $paint) {}

    public static function kind(): string
    {
        return 'letter-colours';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Flat;
    }

    public static function parameters(): array
    {
        return [
            Parameter::colours('colours', ['#b04a2c', '#e9c46a', '#2f6f73']),
            Parameter::oneOf('way', ['in-turn', 'ramp'], 'in-turn'),
        ];
    }

    public static function from(Values $values): static
    {
        return new self(new LetterColours($values->colours('colours'), $values->word('way') !== 'in-turn'));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->filled($this->paint);
    }
}
