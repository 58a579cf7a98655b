<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Values;
use TallCrow\Type\Setting;

/** Scales every line to one width and stacks them by their ink, as a block. The gap is a share of that width. */
final readonly class FitLines implements SetsType
{
    private function __construct(private float $gap) {}

    public static function kind(): string
    {
        return 'fit-lines';
    }

    public static function parameters(): array
    {
        return [Parameter::share('gap', 0, 0.5, 0.03)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('gap'));
    }

    public function set(Setting $setting): Setting
    {
        return $setting->withBlock($this->gap);
    }
}
