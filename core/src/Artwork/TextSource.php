<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Type\Alignment;
use TallCrow\Type\Setting;

/** Words in a font. */
final readonly class TextSource implements Source
{
    use HoldsNoLayers;

    /** Placeholder for new words. */
    public const UNWRITTEN = 'YOUR WORDS';

    /** Number of characters of the words that are used as the layer's name. */
    private const SHOWN = 32;

    public function __construct(
        public string $text,
        /** File name of a font among the artwork's assets. */
        public string $font,
        public Alignment $align,
        /** Baseline to baseline, in ems. */
        public float $leading,
    ) {}

    public function setting(): Setting
    {
        return new Setting($this->align, $this->leading);
    }

    public function called(): string
    {
        return mb_strimwidth(str_replace("\n", ' / ', $this->text), 0, self::SHOWN, '…');
    }

    public function files(): array
    {
        return [$this->font];
    }

    public function hasColours(): bool
    {
        return false;
    }

    public function scaled(float $by): self
    {
        return $this;
    }

    public function match(\Closure $text, \Closure $art, \Closure $figures, \Closure $group): mixed
    {
        return $text($this);
    }

    public function toArray(): array
    {
        return ['kind' => 'text', 'text' => $this->text, 'font' => $this->font, 'align' => $this->align->value, 'leading' => $this->leading];
    }
}
