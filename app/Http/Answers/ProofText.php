<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The text extracted from a proof. */
final readonly class ProofText extends Answer
{
    public function __construct(
        public string $name,
        public string $text,
        public bool $whole,
    ) {}
}
