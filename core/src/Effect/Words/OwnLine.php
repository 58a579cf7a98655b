<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Values;
use TallCrow\Type\LineSetting;
use TallCrow\Type\Setting;

/** A separate font, size and fit for one of several lines. */
final readonly class OwnLine implements SetsType
{
    private function __construct(private int $number, private LineSetting $line) {}

    public static function kind(): string
    {
        return 'line';
    }

    public static function parameters(): array
    {
        return [
            Parameter::number('number', 1, 60, 1),
            Parameter::font('font'),
            Parameter::share('size', 0.05, 10, 1),
            Parameter::oneOf('fit', ['as-sized', 'widest'], 'as-sized'),
        ];
    }

    public static function from(Values $values): static
    {
        return new self(
            (int) $values->number('number') - 1,
            new LineSetting($values->word('font') === '' ? null : $values->word('font'), $values->number('size'), $values->word('fit') === 'widest'),
        );
    }

    public function set(Setting $setting): Setting
    {
        return $setting->withLine($this->number, $this->line);
    }
}
