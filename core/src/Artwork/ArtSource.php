<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** A placed picture, raster or SVG. */
final readonly class ArtSource implements Source
{
    /** @param  string  $file name of a picture among the artwork's assets */
    public function __construct(public string $file) {}

    public function toArray(): array
    {
        return ['kind' => 'art', 'file' => $this->file];
    }
}
