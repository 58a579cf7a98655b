<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** What one line of a text has of its own. */
final readonly class LineSetting
{
    public function __construct(
        /** Name of another font; null keeps the text's. */
        public ?string $font = null,
        /** Of its own, as a share of the text's. */
        public float $size = 1.0,
        /** Sized until its ink is as wide as the widest line that is not. */
        public bool $fitted = false,
    ) {}
}
