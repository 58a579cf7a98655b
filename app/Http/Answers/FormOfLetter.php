<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Type\LetterForm;

/** A form in which a font draws a letter. */
final readonly class FormOfLetter extends Answer
{
    public function __construct(
        /** The OpenType feature; empty for the usual form. */
        public string $tag,
        /** The number of the alternate; 0 where the feature is turned off. */
        public int $value,
        /** The font's own name for it; empty if it gives none. */
        public string $name,
        public bool $isCurrent,
        public GlyphDrawing $drawing,
    ) {}

    public static function of(LetterForm $form): self
    {
        return new self($form->tag, $form->value, (string) $form->name, $form->isCurrent, GlyphDrawing::of($form->outline));
    }
}
