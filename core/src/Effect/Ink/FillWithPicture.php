<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\PatternPaint;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;

/** A picture of the shelf, seen through the ink. */
final readonly class FillWithPicture implements Inks
{
    private function __construct(private PatternPaint $paint) {}

    public static function kind(): string
    {
        return 'picture';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Overlay;
    }

    public static function parameters(): array
    {
        return [
            Parameter::picture('file'),
            Parameter::share('scale', 0.1, 8, 1),
            Parameter::length('x', -40, 40, 0),
            Parameter::length('y', -40, 40, 0),
            Parameter::oneOf('each', ['whole', 'each-letter'], 'whole'),
        ];
    }

    public static function from(Values $values): static
    {
        return new self(PatternPaint::picture(
            $values->word('file'), $values->number('scale'), $values->number('x'), $values->number('y'), $values->word('each') !== 'whole',
        ));
    }

    public function ink(Inking $inking): Inking
    {
        return $this->paint->of === '' ? $inking : $inking->filled($this->paint);
    }
}
