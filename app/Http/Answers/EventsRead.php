<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The result of importing a calendar. */
final readonly class EventsRead extends Answer
{
    /** @param  list<string>  $problems */
    public function __construct(
        public int $taken,
        public int $known,
        public array $problems,
    ) {}
}
