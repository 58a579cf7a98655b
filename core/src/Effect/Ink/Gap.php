<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Edge;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Ring;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\LaysAbout;
use TallCrow\Effect\MeasuresEdge;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\SuitsSize;
use TallCrow\Effect\Values;

/** A gap between one ring and the next: outside the outline it shows cloth, inside it shows the fill. */
final readonly class Gap implements Inks, LaysAbout, MeasuresEdge, SuitsSize
{
    private function __construct(private Ring $ring, private bool $inside) {}

    public static function kind(): string
    {
        return 'gap';
    }

    public static function edge(): Edge
    {
        return Edge::Gap;
    }

    public static function order(): InkOrder
    {
        return InkOrder::Ring;
    }

    public static function parameters(): array
    {
        return [Parameter::length('width', 0.005, 2, 0.05), Parameter::oneOf('side', ['outside', 'inside'], 'outside')];
    }

    public static function growing(): array
    {
        return ['width'];
    }

    public static function from(Values $values): static
    {
        return new self(new Ring($values->number('width'), null), $values->word('side') === 'inside');
    }

    public function ink(Inking $inking): Inking
    {
        return $this->inside ? $inking->inlined($this->ring) : $inking->ringed($this->ring);
    }
}
