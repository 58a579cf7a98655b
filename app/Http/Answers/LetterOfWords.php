<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Type\Character;
use TallCrow\Type\WhichLetters;

/** A letter of a layer's words. */
final readonly class LetterOfWords extends Answer
{
    /** @param  list<string>  $told  the ways in which a line of the sheet can tell it, such as "last-of-words" */
    public function __construct(
        /** From 1, through all lines. */
        public int $number,
        public string $text,
        /** Index of its line. */
        public int $line,
        public array $told,
    ) {}

    public static function of(Character $letter): self
    {
        return new self($letter->number, $letter->text, $letter->line, array_values(array_filter(
            WhichLetters::some(), fn (string $told): bool => WhichLetters::from($told)->takesIn($letter, $letter->number),
        )));
    }
}
