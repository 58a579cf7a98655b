<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** A part of a line with one direction, and once it is split by script, of one script. */
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
