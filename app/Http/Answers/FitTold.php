<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** One consequence of a refit. */
final readonly class FitTold extends Answer
{
    public function __construct(
        public bool $grave,
        public string $says,
        public string $mend,
    ) {}
}
