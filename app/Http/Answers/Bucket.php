<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** One of the colours to which an effect reduces a picture; or a hidden colour that matches none of them any more. */
final readonly class Bucket extends Answer
{
    public function __construct(
        public string $colour,
        public float $share,
        /** The effect's colour that hides it, if any. */
        public ?string $hiddenAs,
        public bool $matches,
    ) {}
}
