<?php

declare(strict_types=1);

namespace TallCrow\Series;

/** Something to know of a row. */
final readonly class RowNote
{
    public function __construct(
        /** Whether the row must not go out so. */
        public bool $grave,
        public string $says,
    ) {}
}
