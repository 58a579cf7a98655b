<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A design in which an asset was replaced, with its revisions before and after. */
final readonly class ReplacedIn extends Answer
{
    public function __construct(
        public int $job,
        public string $title,
        public int $before,
        public int $after,
    ) {}
}
