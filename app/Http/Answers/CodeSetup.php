<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** What an authenticator app needs to generate one-time codes. */
final readonly class CodeSetup extends Answer
{
    public function __construct(
        public string $secret,
        public string $uri,
    ) {}
}
