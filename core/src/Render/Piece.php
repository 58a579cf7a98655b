<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/** Pixels, and the window of the sheet that they fill. */
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

    /** Subsampled: every so-many-th pixel of the sheet's grid, for statistics. Null if the piece contains none of these pixels. */
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

    /** Averaged down by blocks of the sheet's grid; partly covered blocks are included. */
    public function coarser(int $by): self
    {
        $frame = $this->frame->coarserAround($by);

        return new self($this->image->embed($this->frame->left - $frame->left * $by, $this->frame->top - $frame->top * $by, $frame->width * $by, $frame->height * $by)->shrunkInk($by)->settled(), $frame);
    }

    /** Cropped to a window; null if they do not overlap. */
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
