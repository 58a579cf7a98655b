<?php

declare(strict_types=1);

namespace TallCrow\Effect\Words;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\SetsType;
use TallCrow\Effect\Values;
use TallCrow\Type\LetterCase;
use TallCrow\Type\Setting;

/** Upper case, lower case or title case, whatever was typed. */
final readonly class CaseOfLetters implements SetsType
{
    private function __construct(private LetterCase $as) {}

    public static function kind(): string
    {
        return 'case';
    }

    public static function parameters(): array
    {
        return [Parameter::choice('as', LetterCase::class, LetterCase::Capitals)];
    }

    public static function from(Values $values): static
    {
        return new self(LetterCase::from($values->word('as')));
    }

    public function set(Setting $setting): Setting
    {
        return $setting->withCase($this->as);
    }
}
