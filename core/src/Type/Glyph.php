<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** One glyph of a shaped line, in ems. */
final readonly class Glyph
{
    public function __construct(
        public int $id,
        /** Byte offset in the line of the first character that the glyph represents. */
        public int $cluster,
        public float $advance,
        public float $shiftX,
        public float $shiftY,
    ) {}
}
