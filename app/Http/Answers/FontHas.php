<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Type\Font;

/** Properties of a font besides its languages and features. */
final readonly class FontHas extends Answer
{
    /** @param  list<FontAxis>  $axes  of a variable font */
    public function __construct(
        /** Number of Unicode characters. */
        public int $characters,
        /** 1 to 1000, 400 is regular; of a variable font the usual one. */
        public int $weight,
        public string $weightName,
        public array $axes,
        /** Whether its letters have colours of their own, which are not printed. */
        public bool $hasColours,
    ) {}

    public static function of(Font $font): self
    {
        $weight = $font->weight();

        return new self(count($font->characters()), $weight->value, $weight->called(), array_map(FontAxis::of(...), $font->axes()), $font->hasColours());
    }
}
