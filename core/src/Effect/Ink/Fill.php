<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Solid;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\StandsOut;
use TallCrow\Effect\Values;

/** One colour over all the layer's ink; its shape stays. */
final readonly class Fill implements Inks, StandsOut
{
    private function __construct(private Solid $paint) {}

    public static function kind(): string
    {
        return 'fill';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Flat;
    }

    public static function parameters(): array
    {
        return [Parameter::colour('colour', '#1f1d1a')];
    }

    public static function liesBeside(): bool
    {
        return true;
    }

    public static function from(Values $values): static
    {
        return new self(new Solid($values->colour('colour')));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->filled($this->paint);
    }
}
