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

    /** Every so-manieth pixel of the sheet, as far as the piece has any of them, for sums over many; null where it lies between them. */
    public function glimpsed(int $every): ?self
    {
        $from = fn (int $side): int => (int) ceil($side / $every);
        [$left, $top] = [$from($this->frame->left), $from($this->frame->top)];
        [$width, $height] = [$from($this->frame->left + $this->frame->width) - $left, $from($this->frame->top + $this->frame->height) - $top];
        if ($width < 1 || $height < 1) {
            return null;
        }
        $grid = $this->image->embed($this->frame->left - $left * $every, $this->frame->top - $top * $every, $width * $every, $height * $every);

        return new self($grid->subsampled($every)->settled(), new Frame($this->frame->ppi / $every, $left, $top, $width, $height));
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
