<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A secret that is shown only once: a token, a code, an invitation link. */
final readonly class Secret extends Answer
{
    public function __construct(
        public string $secret,
        public ?string $expiresAt = null,
    ) {}
}
