<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** A picture at its place on a sheet: ink laid over what is there, or a hole that takes it away. */
final readonly class Laid
{
    private function __construct(
        public Image $image,
        public int $left,
        public int $top,
        public bool $takes,
    ) {}

    public static function over(Image $image, int $left, int $top): self
    {
        return new self($image, $left, $top, false);
    }

    /** Takes away as much as its alpha says. */
    public static function takingOut(Image $image, int $left, int $top): self
    {
        return new self($image, $left, $top, true);
    }
}
