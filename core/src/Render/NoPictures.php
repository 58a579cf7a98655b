<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/** Keeps nothing beyond its own life; textures and outlines once made serve again within one rendering. */
final class NoPictures implements Pictures
{
    /** @var array<string, Image> */
    private array $images = [];

    /** @var array<string, string> */
    private array $texts = [];

    public function piece(string $key, Frame $frame, callable $make): ?Piece
    {
        return $make();
    }

    public function image(string $key, callable $make): Image
    {
        return $this->images[$key] ??= $make()->settled();
    }

    public function text(string $key, callable $make): string
    {
        return $this->texts[$key] ??= $make();
    }
}
