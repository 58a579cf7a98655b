<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Colour\Swatch;

/** One colour of a picture's palette, with its share of the pixels. */
final readonly class PictureColour extends Answer
{
    public function __construct(
        public string $name,
        public string $colour,
        public float $share,
    ) {}

    public static function of(Swatch $swatch): self
    {
        return new self($swatch->name, $swatch->colour->toHex(), $swatch->share);
    }
}
