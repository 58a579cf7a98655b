<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** What can be read of a proof, as plain text. */
final readonly class ProofText extends Answer
{
    public function __construct(
        public string $name,
        public string $text,
        public bool $whole,
    ) {}
}
