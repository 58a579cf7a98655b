<?php

declare(strict_types=1);

namespace TallCrow\House;

/** Something that a refit does to a design. */
final readonly class FitNote
{
    public function __construct(
        /** Whether a house would send it back. */
        public bool $grave,
        public string $says,
        public string $mend,
    ) {}
}
