<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The result of importing a sales report. */
final readonly class SalesRead extends Answer
{
    /** @param  list<string>  $problems  rows that were left, by row and column */
    public function __construct(
        public int $taken,
        public int $units,
        public int $known,
        public array $problems,
    ) {}
}
