<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** What on a sheet can become a slot, with what stands there now. */
final readonly class SeriesPlace extends Answer
{
    public function __construct(
        public string $place,
        public string $says,
        public string $value,
    ) {}
}
