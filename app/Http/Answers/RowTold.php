<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A note about a row. */
final readonly class RowTold extends Answer
{
    public function __construct(
        public bool $grave,
        public string $says,
    ) {}
}
