<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A part of a background that the picture encloses: a place within it, in shares of the picture, and its share of it. */
final readonly class PocketOfPicture extends Answer
{
    public function __construct(
        public float $x,
        public float $y,
        public float $share,
    ) {}
}
