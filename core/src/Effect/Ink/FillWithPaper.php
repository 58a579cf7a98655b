<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\PatternPaint;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Paper\Catalogue as Papers;

/** A paper that Tall Crow makes, seen through the ink. */
final readonly class FillWithPaper implements Inks
{
    private function __construct(private PatternPaint $paint) {}

    public static function kind(): string
    {
        return 'paper';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Overlay;
    }

    public static function parameters(): array
    {
        return [
            Parameter::oneOf('paper', Papers::kinds(), 'gingham', pictured: true),
            Parameter::colours('colours', ['#b04a2c', '#f3ead7', '#1f1d1a'], 1, 6),
            Parameter::share('scale', 0.1, 8, 1),
            Parameter::number('seed', 0, 999_999, 1),
            Parameter::length('x', -40, 40, 0),
            Parameter::length('y', -40, 40, 0),
            Parameter::oneOf('each', ['whole', 'each-letter'], 'whole'),
        ];
    }

    public static function from(Values $values): static
    {
        return new self(PatternPaint::paper(
            $values->word('paper'), $values->colours('colours'), $values->number('scale'), (int) $values->number('seed'),
            $values->number('x'), $values->number('y'), $values->word('each') !== 'whole',
        ));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->filled($this->paint);
    }
}
