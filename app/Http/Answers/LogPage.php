<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A page of the log, newest first. */
final readonly class LogPage extends Answer
{
    /** @param  list<LogLine>  $lines */
    public function __construct(
        public int $total,
        public int $pages,
        public array $lines,
    ) {}
}
