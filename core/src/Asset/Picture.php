<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\IntoSrgb;
use TallCrow\Raster\PictureType;

/** A piece of art: raster pixels, or a cleaned SVG drawing. */
final readonly class Picture
{
    private function __construct(
        public PictureType $type,
        /** Pixels of a raster; units of a drawing's page. */
        public float $width,
        public float $height,
        private string $content,
        /** @var list<string> what a drawing's file had beside, in words for the seller */
        public array $leftOut = [],
    ) {}

    /** @param  string  $path of a file already found to be of that type and within bounds */
    public static function raster(PictureType $type, int $width, int $height, string $path): self
    {
        return new self($type, $width, $height, $path);
    }

    public static function drawing(CleanSvg $drawing): self
    {
        return new self(PictureType::Svg, $drawing->width, $drawing->height, $drawing->markup, $drawing->leftOut);
    }

    public function isVector(): bool
    {
        return $this->type === PictureType::Svg;
    }

    public function aspect(): float
    {
        return $this->height / $this->width;
    }

    /** Pixels upright as the camera meant them, in sRGB with alpha. */
    public function pixels(): Image
    {
        return $this->isVector()
            ? ImageFile::drawing($this->content)->asInk()
            : IntoSrgb::of(ImageFile::read($this->type, $this->content), $this->type, $this->content)->autorotated()->asInk();
    }

    /** The drawing's own markup, an svg element with a viewBox. */
    public function markup(): string
    {
        return $this->isVector() ? $this->content : '';
    }
}
