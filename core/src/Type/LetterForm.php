<?php

declare(strict_types=1);

namespace TallCrow\Type;

use TallCrow\Geometry\Path;

/** A form in which a font draws a letter: the usual one, or that of a feature. */
final readonly class LetterForm
{
    public function __construct(
        /** The OpenType feature; empty for the usual form. */
        public string $tag,
        /** The value of the feature: the number of the alternate, or 0 where it is turned off. */
        public int $value,
        /** The font's own name for the feature. */
        public ?string $name,
        /** In ems, from the letter's origin. */
        public Path $outline,
        /** Whether the letter stands in this form now. */
        public bool $isCurrent,
    ) {}
}
