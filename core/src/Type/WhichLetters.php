<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** The letters of words that a font feature is used for. */
enum WhichLetters: string
{
    case All = 'all-letters';
    case FirstOfLines = 'first-of-lines';
    case LastOfLines = 'last-of-lines';
    case FirstOfWords = 'first-of-words';
    case LastOfWords = 'last-of-words';
    case One = 'one-letter';

    /** @return list<string> the values of all ways but that of all letters */
    public static function some(): array
    {
        return array_values(array_diff(array_column(self::cases(), 'value'), [self::All->value]));
    }

    /** @param  int  $letter  the number of the letter that "one letter" means */
    public function takesIn(Character $character, int $letter): bool
    {
        return match ($this) {
            self::All => true,
            self::FirstOfLines => $character->isFirstOfLine,
            self::LastOfLines => $character->isLastOfLine,
            self::FirstOfWords => $character->isFirstOfWord,
            self::LastOfWords => $character->isLastOfWord,
            self::One => $character->number === $letter,
        };
    }
}
