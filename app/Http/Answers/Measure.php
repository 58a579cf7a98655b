<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Render\Measures;

/** What a layer measures as it lies: inches, its effective ppi if it is a raster, and why it cannot be drawn if it cannot. */
final readonly class Measure extends Answer
{
    public function __construct(
        public string $id,
        public string $called,
        public ?float $width,
        public ?float $height,
        public ?Box $box,
        public ?float $ppi,
        public ?string $trouble,
    ) {}

    public static function of(Measures $measures): self
    {
        return new self($measures->id, $measures->called, $measures->width, $measures->height, $measures->box === null ? null : Box::of($measures->box), $measures->ppi, $measures->trouble);
    }
}
