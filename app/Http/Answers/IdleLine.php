<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A line among a layer's effects that can do nothing where it stands, by its number from 0, and why. */
final readonly class IdleLine extends Answer
{
    public function __construct(
        public int $line,
        public string $why,
    ) {}
}
