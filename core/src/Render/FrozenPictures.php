<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/** Gives what a folder keeps, and keeps no further pieces: for prints each of which has some of its own and shares the rest. */
final class FrozenPictures implements Pictures
{
    private bool $frozen = false;

    public function __construct(private readonly FolderPictures $kept) {}

    /** From now on pieces that are not kept yet are drawn and let go. */
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
