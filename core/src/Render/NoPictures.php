<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/**
 * A cache in memory for one rendering: textures and outlines are made once. Pieces are drawn before they are composed, which is quicker, as long as they are
 * not too large together.
 */
final class NoPictures implements Pictures
{
    private const MOST_BYTES = 500_000_000;

    private int $bytes = 0;

    /** @var array<string, Image> */
    private array $images = [];

    /** @var array<string, string> */
    private array $texts = [];

    /** @param  ?Pictures  $materials  a lasting cache for materials */
    public function __construct(private readonly ?Pictures $materials = null) {}

    public function piece(string $key, Frame $frame, callable $make): ?Piece
    {
        $piece = $make();
        $bytes = $piece === null ? 0 : $piece->frame->width * $piece->frame->height * 4;
        if ($piece === null || $this->bytes + $bytes > self::MOST_BYTES) {
            return $piece;
        }
        $this->bytes += $bytes;

        return $piece->with($piece->image->settled());
    }

    public function image(string $key, callable $make): Image
    {
        return $this->images[$key] ??= $make()->settled();
    }

    public function material(string $key, callable $make): Image
    {
        return $this->materials === null ? $this->image($key, $make) : $this->images[$key] ??= $this->materials->material($key, $make);
    }

    public function text(string $key, callable $make): string
    {
        return $this->texts[$key] ??= $make();
    }
}
