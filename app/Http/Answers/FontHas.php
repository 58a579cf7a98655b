<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Type\Font;

/** What a font has beside its languages and features. */
final readonly class FontHas extends Answer
{
    public function __construct(
        /** Characters of Unicode. */
        public int $characters,
        /** 1 to 1000, 400 is regular. */
        public int $weight,
        public string $weightName,
        /** Between what a variable font could vary; the same where it does not. */
        public int $lightest,
        public int $heaviest,
    ) {}

    public static function of(Font $font): self
    {
        $weight = $font->weight();

        return new self($font->characters(), $weight->value, $weight->called(), $weight->lightest, $weight->heaviest);
    }
}
