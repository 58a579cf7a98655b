<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Something that is shown once: a token, a code, the address of an invitation. */
final readonly class Secret extends Answer
{
    public function __construct(
        public string $secret,
        public ?string $expiresAt = null,
    ) {}
}
