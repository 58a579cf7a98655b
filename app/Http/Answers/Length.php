<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A length as the core read it. */
final readonly class Length extends Answer
{
    public function __construct(public float $inches) {}
}
