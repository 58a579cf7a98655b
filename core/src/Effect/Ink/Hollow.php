<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Edge;
use TallCrow\Effect\FollowsEdge;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Ring;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\LeavesCloth;
use TallCrow\Effect\MeasuresEdge;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\StandsOut;
use TallCrow\Effect\SuitsSize;
use TallCrow\Effect\Values;

/** Reduces the ink to a line along the inside of its edge; cloth shows within. */
final readonly class Hollow implements FollowsEdge, Inks, LeavesCloth, MeasuresEdge, StandsOut, SuitsSize
{
    private function __construct(private Ring $line) {}

    public static function kind(): string
    {
        return 'hollow';
    }

    public static function edge(): Edge
    {
        return Edge::Ring;
    }

    public static function order(): InkOrder
    {
        return InkOrder::Form;
    }

    public static function parameters(): array
    {
        return [Parameter::length('width', 0.005, 2, 0.06), Parameter::colour('colour', '#f3ead7')];
    }

    public static function liesBeside(): bool
    {
        return false;
    }

    public static function growing(): array
    {
        return ['width'];
    }

    public static function from(Values $values): static
    {
        return new self(new Ring($values->number('width'), $values->colour('colour')));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->hollowed()->inlined($this->line);
    }
}
