<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** An axis along which the letters of a variable font change (OpenType 1.9, table fvar). */
final readonly class Axis
{
    public function __construct(
        /** Four characters, such as "wght". */
        public string $tag,
        /** Such as "weight". */
        public string $name,
        public float $least,
        public float $usual,
        public float $most,
    ) {}
}
