<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Join;
use TallCrow\Effect\Inking\Ring;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;

/** A ring that follows the outline, outside behind the fill so that letters keep their weight, or inside. Several lie
 * beyond one another in the order given. The mitre limit is SVG's: a corner whose point would reach further than this
 * many half-widths is cut off. */
final readonly class Outline implements Inks
{
    private function __construct(private Ring $ring, private bool $inside) {}

    public static function kind(): string
    {
        return 'outline';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Ring;
    }

    public static function parameters(): array
    {
        return [
            Parameter::length('width', 0.005, 2, 0.1),
            Parameter::colour('colour', '#f3ead7'),
            Parameter::oneOf('side', ['outside', 'inside'], 'outside'),
            Parameter::choice('join', Join::class, Join::Round),
            Parameter::number('mitreLimit', 1, 10, 3),
        ];
    }

    public static function from(Values $values): static
    {
        return new self(
            new Ring($values->number('width'), $values->colour('colour'), Join::from($values->word('join')), $values->number('mitreLimit')),
            $values->word('side') === 'inside',
        );
    }

    public function ink(Inking $inking): Inking
    {
        return $this->inside ? $inking->inlined($this->ring) : $inking->ringed($this->ring);
    }
}
