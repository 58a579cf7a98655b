<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** A placed picture, raster or SVG. */
final readonly class ArtSource implements Source
{
    use HoldsNoLayers;

    /** @param  string  $file name of a picture among the artwork's assets */
    public function __construct(
        public string $file,
        public Framing $frame = Framing::Ink,
    ) {}

    public function called(): string
    {
        return pathinfo($this->file, PATHINFO_FILENAME);
    }

    public function files(): array
    {
        return [$this->file];
    }

    public function hasColours(): bool
    {
        return true;
    }

    public function scaled(float $by): self
    {
        return $this;
    }

    public function match(\Closure $text, \Closure $art, \Closure $figures, \Closure $group): mixed
    {
        return $art($this);
    }

    public function toArray(): array
    {
        return ['kind' => 'art', 'file' => $this->file, 'frame' => $this->frame->value];
    }
}
