<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** What came of taking in a whole shelf. */
final readonly class ShelfOpened extends Answer
{
    /** @param  list<string>  $problems */
    public function __construct(
        public int $taken,
        public int $known,
        public int $licences,
        public int $proofs,
        public array $problems,
    ) {}
}
