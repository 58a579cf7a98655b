<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** One answer to a question about a licence. */
final readonly class FactChoice extends Answer
{
    public function __construct(
        public string $value,
        public string $says,
    ) {}
}
