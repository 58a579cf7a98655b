<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Artwork\Garment;

/** A garment colour. */
final readonly class Cloth extends Answer
{
    public function __construct(
        public string $name,
        public string $colour,
    ) {}

    public static function of(Garment $garment): self
    {
        return new self($garment->name, $garment->colour->toHex());
    }
}
