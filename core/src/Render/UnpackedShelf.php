<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Asset\Picture;
use TallCrow\Asset\Shelf;
use TallCrow\Raster\Image;
use TallCrow\Type\Font;

/** A shelf that decodes large rasters and converts them to sRGB once, and caches the result. */
final readonly class UnpackedShelf implements Shelf
{
    /** From this many pixels on, decoding costs more than reading the cached file. */
    private const LARGE = 1_000_000;

    public function __construct(
        private Shelf $shelf,
        private Pictures $pictures,
    ) {}

    public function font(string $name): Font
    {
        return $this->shelf->font($name);
    }

    public function picture(string $name): Picture
    {
        $picture = $this->shelf->picture($name);

        return $picture->isVector() || $picture->width * $picture->height < self::LARGE
            ? $picture
            : $picture->keptBy(fn (\Closure $read): Image => $this->pictures->image('unpacked '.$this->shelf->fingerprint($name), $read));
    }

    public function fingerprint(string $name): string
    {
        return $this->shelf->fingerprint($name);
    }
}
