<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Some of the characters that a font covers. */
final readonly class FontCharacters extends Answer
{
    /** @param  list<FontCharacter>  $characters */
    public function __construct(
        /** Number of those that were found. */
        public int $all,
        public array $characters,
    ) {}
}
