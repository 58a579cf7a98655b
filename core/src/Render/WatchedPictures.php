<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/** A cache whose drawings are watched: what got its process killed twice is not drawn again (see DrawingWatch). */
final readonly class WatchedPictures implements Pictures
{
    public function __construct(
        private Pictures $pictures,
        private DrawingWatch $watch,
    ) {}

    public function piece(string $key, Frame $frame, callable $make): ?Piece
    {
        return $this->pictures->piece($key, $frame, fn (): ?Piece => $this->watch->during($key.$frame->key(), $make));
    }

    public function image(string $key, callable $make): Image
    {
        return $this->pictures->image($key, fn (): Image => $this->watch->during($key, $make));
    }

    public function material(string $key, callable $make): Image
    {
        return $this->pictures->material($key, fn (): Image => $this->watch->during($key, $make));
    }

    public function text(string $key, callable $make): string
    {
        return $this->pictures->text($key, fn (): string => $this->watch->during($key, $make));
    }
}
