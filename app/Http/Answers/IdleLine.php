<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** An effect that does nothing in its place: its index from 0, and the reason. */
final readonly class IdleLine extends Answer
{
    public function __construct(
        public int $line,
        public string $why,
    ) {}
}
