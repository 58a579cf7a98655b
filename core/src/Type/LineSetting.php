<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** The settings of a single line of text. */
final readonly class LineSetting
{
    public function __construct(
        /** Name of another font; null: the text's font. */
        public ?string $font = null,
        /** Type size as a share of the text's. */
        public float $size = 1.0,
        /** Whether it is scaled to the width of the widest line that is not. */
        public bool $fitted = false,
    ) {}
}
