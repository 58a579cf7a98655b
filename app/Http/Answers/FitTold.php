<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Something that a refit does to a design. */
final readonly class FitTold extends Answer
{
    public function __construct(
        public bool $grave,
        public string $says,
        public string $mend,
    ) {}
}
