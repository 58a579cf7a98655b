<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A service that takes print files. */
final readonly class HouseService extends Answer
{
    public function __construct(
        public string $key,
        public string $name,
    ) {}
}
