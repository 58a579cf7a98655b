<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Geometry\Box as Inches;

/** Inches on the sheet. */
final readonly class Box extends Answer
{
    public function __construct(
        public float $left,
        public float $top,
        public float $width,
        public float $height,
    ) {}

    public static function of(Inches $box): self
    {
        return new self($box->left, $box->top, $box->width(), $box->height());
    }
}
