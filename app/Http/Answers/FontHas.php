<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Type\Font;

/** Properties of a font besides its languages and features. */
final readonly class FontHas extends Answer
{
    public function __construct(
        /** Number of Unicode characters. */
        public int $characters,
        /** 1 to 1000, 400 is regular. */
        public int $weight,
        public string $weightName,
        /** Range of a variable font's weight; both equal if it is not variable. */
        public int $lightest,
        public int $heaviest,
    ) {}

    public static function of(Font $font): self
    {
        $weight = $font->weight();

        return new self($font->characters(), $weight->value, $weight->called(), $weight->lightest, $weight->heaviest);
    }
}
