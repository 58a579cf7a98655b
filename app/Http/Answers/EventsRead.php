<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** What came of a calendar that was taken in. */
final readonly class EventsRead extends Answer
{
    /** @param  list<string>  $problems */
    public function __construct(
        public int $taken,
        public int $known,
        public array $problems,
    ) {}
}
