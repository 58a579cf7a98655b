<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** A mask painted by a brush: strokes that erase and restore. */
final readonly class BrushMask implements Mask
{
    use HasUsual;

    public const MOST_STROKES = 400;

    /** @param  list<Stroke>  $strokes */
    public function __construct(
        public array $strokes,
        public Usual $usual = new Usual,
    ) {}

    public function isDrawn(): bool
    {
        return true;
    }

    public function scaled(float $by): static
    {
        return new self(array_map(fn (Stroke $stroke): Stroke => $stroke->scaled($by), $this->strokes), $this->usual);
    }

    public function toArray(): array
    {
        return ['kind' => 'brush', 'strokes' => array_map(fn (Stroke $stroke): array => $stroke->toArray(), $this->strokes)] + $this->usual->toArray();
    }
}
