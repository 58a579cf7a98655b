<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/** Keeps what is costly to draw again, under a key that holds all it depends on. */
interface Pictures
{
    /** @param  callable(): ?Piece  $make */
    public function piece(string $key, Frame $frame, callable $make): ?Piece;

    /** @param  callable(): Image  $make */
    public function image(string $key, callable $make): Image;

    /**
     * What hangs on no sheet and no shelf: a field of wear, a paper. It may be kept longer, and for all sheets.
     *
     * @param  callable(): Image  $make
     */
    public function material(string $key, callable $make): Image;

    /** @param  callable(): string  $make */
    public function text(string $key, callable $make): string;
}
