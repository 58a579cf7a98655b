<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Values;
use TallCrow\Type\Setting;
use TallCrow\Type\Stand;

/** The first and the last letter of each line larger than the rest. */
final readonly class LargerEnds implements SetsType
{
    private function __construct(private float $by, private Stand $stand) {}

    public static function kind(): string
    {
        return 'larger-ends';
    }

    public static function parameters(): array
    {
        return [Parameter::share('by', 0.3, 4, 1.35), Parameter::choice('stand', Stand::class, Stand::Baseline)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('by'), Stand::from($values->word('stand')));
    }

    public function set(Setting $setting): Setting
    {
        return $setting->withEnds($this->by, $this->stand);
    }
}
