<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A character that a font covers. */
final readonly class FontCharacter extends Answer
{
    public function __construct(
        public string $character,
        /** As Unicode names it; one of the font's own by its number, such as "U+E001". */
        public string $name,
        public GlyphDrawing $drawing,
    ) {}
}
