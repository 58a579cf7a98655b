<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/** A cache of what is costly to draw. A key must contain everything that the result depends on. */
interface Pictures
{
    /** @param  callable(): ?Piece  $make */
    public function piece(string $key, Frame $frame, callable $make): ?Piece;

    /** @param  callable(): Image  $make */
    public function image(string $key, callable $make): Image;

    /**
     * For results that depend on no sheet and no shelf, as a field of wear or a paper: they may be kept longer, and shared by all sheets.
     *
     * @param  callable(): Image  $make
     */
    public function material(string $key, callable $make): Image;

    /** @param  callable(): string  $make */
    public function text(string $key, callable $make): string;
}
