<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A value of the sheet that can become a slot, with its current value. */
final readonly class SeriesPlace extends Answer
{
    public function __construct(
        public string $place,
        public string $says,
        public string $value,
    ) {}
}
