<?php

declare(strict_types=1);

namespace TallCrow\House;

/** One consequence of a refit. */
final readonly class FitNote
{
    public function __construct(
        /** Whether a house would reject the file for it. */
        public bool $grave,
        public string $says,
        public string $mend,
    ) {}
}
