<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** A picture at its place on a sheet: ink to compose over what is there, or a hole to cut out of it. */
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

    /** A hole: it removes as much as its alpha says. */
    public static function takingOut(Image $image, int $left, int $top): self
    {
        return new self($image, $left, $top, true);
    }
}
