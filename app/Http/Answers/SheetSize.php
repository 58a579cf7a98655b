<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Artwork\Sheet;

/** A sheet's size in pixels and its resolution. */
final readonly class SheetSize extends Answer
{
    public function __construct(
        public int $width,
        public int $height,
        public float $ppi,
    ) {}

    public static function of(Sheet $sheet): self
    {
        return new self($sheet->width, $sheet->height, $sheet->ppi->value);
    }
}
