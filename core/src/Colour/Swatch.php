<?php

declare(strict_types=1);

namespace TallCrow\Colour;

/** A colour of the job by name, or one of a picture's palette. */
final readonly class Swatch
{
    public function __construct(
        public string $name,
        public Srgb $colour,
        /** Of the picture that it was found in; 0 where it stands for itself. */
        public float $share = 0.0,
    ) {}

    /** @return array{name: string, colour: string, share: float} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'colour' => $this->colour->toHex(), 'share' => $this->share];
    }
}
