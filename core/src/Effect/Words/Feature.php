<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Values;
use TallCrow\Type\Setting;

/** An OpenType feature by its tag, such as ss01 or swsh, as far as the font has it. Alternates are chosen by number. */
final readonly class Feature implements SetsType
{
    private function __construct(private string $tag, private float $value) {}

    public static function kind(): string
    {
        return 'feature';
    }

    public static function parameters(): array
    {
        return [Parameter::words('tag', 4, 'ss01'), Parameter::number('value', 0, 99, 1)];
    }

    public static function from(Values $values): static
    {
        return new self($values->word('tag'), $values->number('value'));
    }

    public function set(Setting $setting): Setting
    {
        return $setting->withFeature(sprintf('%s=%d', (string) preg_replace('/[^A-Za-z0-9]/', '', $this->tag), $this->value));
    }
}
