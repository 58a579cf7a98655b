<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A house after importing a table of print areas, with the errors found in it. */
final readonly class HouseRead extends Answer
{
    /** @param  list<string>  $problems  rows that were left, by row and column */
    public function __construct(
        public HouseCard $house,
        public int $taken,
        public array $problems,
    ) {}
}
