<?php

declare(strict_types=1);

namespace TallCrow\Effect\Ink;

use TallCrow\Effect\Inking\GradientPaint;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;

/** A linear gradient across the piece. */
final readonly class Gradient implements Inks
{
    private function __construct(private GradientPaint $paint) {}

    public static function kind(): string
    {
        return 'gradient';
    }

    public static function order(): InkOrder
    {
        return InkOrder::Overlay;
    }

    public static function parameters(): array
    {
        return [Parameter::colours('colours', ['#e9c46a', '#b04a2c']), Parameter::angle('angle', 90)];
    }

    public static function from(Values $values): static
    {
        return new self(new GradientPaint($values->colours('colours'), $values->number('angle')));
    }

    public function ink(Inking $inking): Inking
    {
        return $inking->filled($this->paint);
    }
}
