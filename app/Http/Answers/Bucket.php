<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** One of the few colours that a line brings a picture down to; or a colour that it hides and that matches none of them any more. */
final readonly class Bucket extends Answer
{
    public function __construct(
        public string $colour,
        public float $share,
        /** The colour on the line that hides it, when one does. */
        public ?string $hiddenAs,
        public bool $matches,
    ) {}
}
