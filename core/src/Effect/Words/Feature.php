<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Values;
use TallCrow\Type\FontFeature;
use TallCrow\Type\Setting;
use TallCrow\Type\WhichLetters;

/** An OpenType feature by its tag, such as ss01 or swsh, as far as the font has it, for all letters or for some. Alternates are chosen by number. */
final readonly class Feature implements SetsType
{
    private function __construct(public FontFeature $feature) {}

    public static function kind(): string
    {
        return 'feature';
    }

    public static function parameters(): array
    {
        return [
            Parameter::words('tag', 4, 'ss01'), Parameter::number('value', 0, 99, 1),
            Parameter::choice('letters', WhichLetters::class, WhichLetters::All), Parameter::number('letter', 1, 9999, 1),
        ];
    }

    public static function from(Values $values): static
    {
        return new self(FontFeature::of($values->word('tag'), (int) $values->number('value'), WhichLetters::from($values->word('letters')), (int) $values->number('letter')));
    }

    public function set(Setting $setting): Setting
    {
        return $setting->withFeature($this->feature);
    }
}
