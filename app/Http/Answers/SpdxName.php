<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A licence of the SPDX list. */
final readonly class SpdxName extends Answer
{
    public function __construct(
        public string $id,
        public string $name,
    ) {}
}
