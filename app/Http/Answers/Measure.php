<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Render\Measures;

/** What a layer measures as it lies: inches, its effective ppi if it is a raster, its type size and the height of its capitals if it is words, and why it cannot be drawn if it cannot. */
final readonly class Measure extends Answer
{
    /** @param  list<IdleLine>  $idle */
    public function __construct(
        public string $id,
        public string $called,
        public ?float $width,
        public ?float $height,
        public ?Box $box,
        public ?float $ppi,
        public ?string $trouble,
        public ?float $em,
        public ?float $capitals,
        public array $idle,
        public bool $fades,
    ) {}

    public static function of(Measures $measures): self
    {
        return new self(
            $measures->id, $measures->called, $measures->width, $measures->height, $measures->box === null ? null : Box::of($measures->box),
            $measures->ppi, $measures->trouble, $measures->em, $measures->capitals,
            array_map(fn (int $line, string $why): IdleLine => new IdleLine($line, $why), array_keys($measures->idle), $measures->idle),
            $measures->fades,
        );
    }
}
