<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A colour of a picture on the shelf. */
final readonly class ColourSeen extends Answer
{
    public function __construct(
        public string $name,
        public string $colour,
    ) {}
}
