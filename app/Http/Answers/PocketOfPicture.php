<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** An enclosed part of a picture's background: a point within it, as fractions of the picture, and its share of the picture's area. */
final readonly class PocketOfPicture extends Answer
{
    public function __construct(
        public float $x,
        public float $y,
        public float $share,
    ) {}
}
