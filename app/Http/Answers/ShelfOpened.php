<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The result of importing a shelf. */
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
