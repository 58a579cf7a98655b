<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A watched phrase found in the words of a sheet. */
final readonly class WatchHit extends Answer
{
    public function __construct(
        public string $phrase,
        public string $found,
        public string $note,
        public ?string $on,
    ) {}
}
