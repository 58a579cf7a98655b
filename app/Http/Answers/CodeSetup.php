<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** What a phone needs to show one-time codes. */
final readonly class CodeSetup extends Answer
{
    public function __construct(
        public string $secret,
        public string $uri,
    ) {}
}
