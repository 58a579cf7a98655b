<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Colour\Srgb;

/**
 * A ring behind the fill, so that letters keep their weight. Several lie outside one another in the order given.
 * The mitre limit is SVG's: a corner whose point would reach further than this many half-widths is cut off.
 */
final readonly class Outline implements Inks
{
    private function __construct(
        private float $width,
        private Srgb $colour,
        private Join $join,
        private float $mitreLimit,
    ) {}

    public static function kind(): string
    {
        return 'outline';
    }

    public static function parameters(): array
    {
        return [
            Parameter::length('width', 0.005, 2, 0.1),
            Parameter::colour('colour', '#f3ead7'),
            Parameter::choice('join', Join::class, Join::Round),
            Parameter::number('mitreLimit', 1, 10, 3),
        ];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('width'), $values->colour('colour'), Join::from($values->word('join')), $values->number('mitreLimit'));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->ringed(new Ring($this->width, $this->colour, $this->join, $this->mitreLimit));
    }
}
