<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Geometry\Box;
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
        /** @var array{int, int, int, int}|null left, top, width, height of the part that it is of its file's pixels */
        private ?array $part = null,
        /** @var (\Closure(\Closure(): Image): Image)|null gives the pixels that were kept, or keeps them as they are read */
        private ?\Closure $keep = null,
    ) {}

    /** @param  \Closure(\Closure(): Image): Image  $keep  given how the file is read */
    public function keptBy(\Closure $keep): self
    {
        return new self($this->type, $this->width, $this->height, $this->content, $this->leftOut, $this->part, $keep);
    }

    /** @param  string  $path of a file already found to be of that type and within bounds */
    public static function raster(PictureType $type, int $width, int $height, string $path): self
    {
        return new self($type, $width, $height, $path);
    }

    public static function drawing(CleanSvg $drawing): self
    {
        return new self(PictureType::Svg, $drawing->width, $drawing->height, $drawing->markup, $drawing->leftOut);
    }

    /**
     * A part of it, as if that were the whole.
     *
     * @param  Box  $part  shares of its width and height
     */
    public function cut(Box $part): self
    {
        if ($this->isVector()) {
            [$width, $height] = [$part->width() * $this->width, $part->height() * $this->height];
            // What the part's own box cuts through is still drawn.
            $markup = (string) preg_replace_callback('/^<svg\b([^>]*)>/', function (array $root) use ($part): string {
                $page = preg_match('/\sviewBox="([^"]+)"/', $root[1], $found) === 1 ? array_map(floatval(...), (array) preg_split('/[\s,]+/', trim($found[1]))) : [0.0, 0.0, $this->width, $this->height];
                [$x, $y, $w, $h] = [...$page, 0.0, 0.0, 0.0, 0.0];
                $box = sprintf(' viewBox="%.6f %.6f %.6f %.6f" overflow="visible"', $x + $part->left * $w, $y + $part->top * $h, $part->width() * $w, $part->height() * $h);

                return '<svg'.preg_replace('/\s(viewBox|overflow|width|height)="[^"]*"/', '', $root[1])."$box>";
            }, $this->content, 1);

            return new self($this->type, $width, $height, $markup, $this->leftOut);
        }
        $left = (int) round($part->left * $this->width);
        $top = (int) round($part->top * $this->height);
        $window = [$left, $top, max(1, (int) round($part->right * $this->width) - $left), max(1, (int) round($part->bottom * $this->height) - $top)];

        return new self($this->type, $window[2], $window[3], $this->content, $this->leftOut, $window, $this->keep);
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
        if ($this->isVector()) {
            return ImageFile::drawing($this->content)->asInk();
        }
        $read = fn (): Image => IntoSrgb::of(ImageFile::read($this->type, $this->content), $this->type, $this->content)->autorotated()->asInk();
        $whole = $this->keep === null ? $read() : ($this->keep)($read);

        return $this->part === null ? $whole : $whole->crop(...$this->part);
    }

    /** The drawing's own markup, an svg element with a viewBox. */
    public function markup(): string
    {
        return $this->isVector() ? $this->content : '';
    }
}
