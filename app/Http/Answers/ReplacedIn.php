<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A design in which a piece was replaced, by its states before and after. */
final readonly class ReplacedIn extends Answer
{
    public function __construct(
        public int $job,
        public string $title,
        public int $before,
        public int $after,
    ) {}
}
