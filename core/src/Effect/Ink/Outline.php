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
use TallCrow\Effect\StandsOut;
use TallCrow\Effect\SuitsSize;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Join;

/**
 * A ring that follows the outline, outside behind the fill so that letters keep their weight, or inside. Several lie beyond one another in the
 * order given. A corner whose point would reach further than the limit, in widths of the ring as in SVG, is cut square at one width. About the
 * silhouette alone, a ring leaves counters free and what letters enclose between them. Crumbs are holes and islands that no disc of that
 * diameter fits into; they are filled, or left out.
 */
final readonly class Outline implements Inks, LaysAbout, MeasuresEdge, StandsOut, SuitsSize
{
    private function __construct(private Ring $ring, private bool $inside) {}

    public static function kind(): string
    {
        return 'outline';
    }

    public static function edge(): Edge
    {
        return Edge::Ring;
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
            Parameter::oneOf('about', ['every-edge', 'silhouette'], 'every-edge'),
            Parameter::length('crumbs', 0, 0.2, 0.012),
        ];
    }

    public static function liesBeside(): bool
    {
        return true;
    }

    public static function growing(): array
    {
        return ['width'];
    }

    public static function from(Values $values): static
    {
        return new self(
            new Ring(
                $values->number('width'), $values->colour('colour'), Join::from($values->word('join')), $values->number('mitreLimit'),
                $values->word('about') === 'silhouette', $values->number('crumbs'),
            ),
            $values->word('side') === 'inside',
        );
    }

    public function ink(Inking $inking): Inking
    {
        return $this->inside ? $inking->inlined($this->ring) : $inking->ringed($this->ring);
    }
}
