<?php

declare(strict_types=1);

namespace TallCrow\Series;

/** A note about a row. */
final readonly class RowNote
{
    public function __construct(
        /** Whether the row must not be sent as it is. */
        public bool $grave,
        public string $says,
    ) {}
}
