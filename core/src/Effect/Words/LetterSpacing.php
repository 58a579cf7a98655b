<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Values;
use TallCrow\Type\Setting;

/** Letter-spacing, in thousandths of an em. */
final readonly class LetterSpacing implements SetsType
{
    private function __construct(private float $by) {}

    public static function kind(): string
    {
        return 'letter-spacing';
    }

    public static function parameters(): array
    {
        return [Parameter::number('by', -300, 2000, 60)];
    }

    public static function from(Values $values): static
    {
        return new self($values->number('by'));
    }

    public function set(Setting $setting): Setting
    {
        return $setting->withTracking($setting->tracking + $this->by);
    }
}
