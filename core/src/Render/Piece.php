<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/** A part of the picture and the window that it fills. */
final readonly class Piece
{
    public function __construct(
        public Image $image,
        public Frame $frame,
    ) {}

    public function with(Image $image): self
    {
        return new self($image, $this->frame);
    }

    /** Every so-manieth pixel of it, for sums over many. */
    public function glimpsed(int $every): self
    {
        return new self($this->image->subsampled($every)->settled(), $this->frame->coarser($every));
    }

    /** The part that lies in a window, cut to it; null when none does. */
    public function cut(Frame $to): ?self
    {
        $overlap = $this->frame->overlap($to);
        if ($overlap === null || $overlap == $this->frame) {
            return $overlap === null ? null : $this;
        }

        return new self(
            $this->image->crop($overlap->left - $this->frame->left, $overlap->top - $this->frame->top, $overlap->width, $overlap->height),
            $overlap,
        );
    }
}
