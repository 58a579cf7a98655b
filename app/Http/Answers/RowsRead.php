<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The result of importing a list. */
final readonly class RowsRead extends Answer
{
    /**
     * @param  list<string>  $problems  by row and column
     * @param  list<string>  $headings  of the table
     */
    public function __construct(
        public int $taken,
        public array $problems,
        public array $headings,
    ) {}
}
