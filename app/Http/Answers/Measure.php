<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Render\Measures;

/** Measurements of a layer: size in inches, effective ppi of a raster, type size and cap height of words, and the reason if it cannot be drawn. */
final readonly class Measure extends Answer
{
    /**
     * @param  list<IdleLine>  $idle
     * @param  list<FontAxis>  $axes  of the variable fonts of its words
     */
    public function __construct(
        public string $id,
        public string $called,
        public ?float $width,
        public ?float $height,
        public ?Box $box,
        public ?Box $own,
        public ?float $ppi,
        public ?string $trouble,
        public ?float $em,
        public ?float $capitals,
        public array $idle,
        public bool $fades,
        public array $axes,
    ) {}

    public static function of(Measures $measures): self
    {
        return new self(
            $measures->id, $measures->called, $measures->width, $measures->height, $measures->box === null ? null : Box::of($measures->box), $measures->own === null ? null : Box::of($measures->own),
            $measures->ppi, $measures->trouble, $measures->em, $measures->capitals,
            array_map(fn (int $line, string $why): IdleLine => new IdleLine($line, $why), array_keys($measures->idle), $measures->idle),
            $measures->fades,
            array_map(FontAxis::of(...), $measures->axes),
        );
    }
}
