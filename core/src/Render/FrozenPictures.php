<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/**
 * A cache that can be frozen: what it holds is still served, but new pieces are no longer stored. For the rows of a series, which share most pieces and have
 * some of their own.
 */
final class FrozenPictures implements Pictures
{
    private bool $frozen = false;

    public function __construct(private readonly FolderPictures $kept) {}

    /** From now on pieces that are not in the cache are drawn without being stored. */
    public function freeze(): void
    {
        $this->frozen = true;
    }

    public function piece(string $key, Frame $frame, callable $make): ?Piece
    {
        return $this->frozen && ! $this->kept->has($key, $frame) ? $make() : $this->kept->piece($key, $frame, $make);
    }

    public function image(string $key, callable $make): Image
    {
        return $this->kept->image($key, $make);
    }

    public function material(string $key, callable $make): Image
    {
        return $this->kept->material($key, $make);
    }

    public function text(string $key, callable $make): string
    {
        return $this->kept->text($key, $make);
    }
}
