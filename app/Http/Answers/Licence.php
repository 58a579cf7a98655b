<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Under what a piece is held, as the seller or its package states it. */
final readonly class Licence extends Answer
{
    public function __construct(
        public string $name,
        public string $author,
        public string $url,
    ) {}
}
