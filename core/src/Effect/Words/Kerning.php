<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Values;
use TallCrow\Type\Setting;

/** Kerning between two adjacent letters, in thousandths of an em. */
final readonly class Kerning implements SetsType
{
    private function __construct(private string $pair, private float $by) {}

    public static function kind(): string
    {
        return 'kerning';
    }

    public static function parameters(): array
    {
        return [Parameter::words('pair', 2, 'AV'), Parameter::number('by', -1000, 1000, -40)];
    }

    public static function from(Values $values): static
    {
        return new self($values->word('pair'), $values->number('by'));
    }

    public function set(Setting $setting): Setting
    {
        return $setting->withKern($this->pair, $this->by);
    }
}
