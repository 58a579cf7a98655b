<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Values;
use TallCrow\Type\Setting;

/** The place of a variable font on one of its axes, such as weight or width, for all lines of the words or for one. */
final readonly class Variation implements SetsType
{
    private function __construct(private string $tag, private float $value, private int $line) {}

    public static function kind(): string
    {
        return 'variation';
    }

    public static function parameters(): array
    {
        return [
            Parameter::words('axis', 4, 'wght'),
            // As wide as the 16.16 fixed-point numbers in which a font tells its axes; the font's own ends hold.
            Parameter::number('value', -32_768, 32_767, 700),
            // 0 is all of them.
            Parameter::number('line', 0, 60, 0),
        ];
    }

    public static function from(Values $values): static
    {
        return new self($values->word('axis'), $values->number('value'), (int) $values->number('line'));
    }

    public function set(Setting $setting): Setting
    {
        return $setting->withAxis($this->line === 0 ? null : $this->line - 1, $this->tag, $this->value);
    }
}
