<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** A part of a line with one direction. */
final readonly class Run
{
    public function __construct(
        /** Byte offset in the line. */
        public int $start,
        /** Bytes. */
        public int $length,
        public bool $rightToLeft,
    ) {}
}
