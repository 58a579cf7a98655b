<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\IntoSrgb;
use TallCrow\Raster\PictureType;

/** A picture file: a raster, or a sanitised SVG. */
final readonly class Picture
{
    /** Bounds of an SVG's longer side when rendered by itself, in pixels: its page may be in any unit. */
    private const LEAST_DRAWN = 300;

    private const MOST_DRAWN = 4000;

    private function __construct(
        public PictureType $type,
        /** Width in pixels of a raster, or in units of an SVG's page. */
        public float $width,
        public float $height,
        private string $content,
        /** @var list<string> what was removed from an SVG, in words for the seller */
        public array $leftOut = [],
        /** @var array{int, int, int, int}|null left, top, width and height in the file's pixels, if it is a part of it */
        private ?array $part = null,
        /** @var (\Closure(\Closure(): Image): Image)|null cache for the decoded pixels */
        private ?\Closure $keep = null,
    ) {}

    /** @param  \Closure(\Closure(): Image): Image  $keep  receives a function that decodes the file */
    public function keptBy(\Closure $keep): self
    {
        return new self($this->type, $this->width, $this->height, $this->content, $this->leftOut, $this->part, $keep);
    }

    /** @param  string  $path of a file that was already checked */
    public static function raster(PictureType $type, int $width, int $height, string $path): self
    {
        return new self($type, $width, $height, $path);
    }

    public static function drawing(CleanSvg $drawing): self
    {
        return new self(PictureType::Svg, $drawing->width, $drawing->height, $drawing->markup, $drawing->leftOut);
    }

    /**
     * A part of the picture as a picture of its own.
     *
     * @param  Box  $part  in shares of its width and height
     */
    public function cut(Box $part): self
    {
        if ($this->isVector()) {
            [$x, $y, $width, $height] = $this->page();
            // Edges at the part's border are still drawn in full.
            $box = sprintf(' viewBox="%.6f %.6f %.6f %.6f" overflow="visible"', $x + $part->left * $width, $y + $part->top * $height, $part->width() * $width, $part->height() * $height);

            return new self($this->type, $part->width() * $this->width, $part->height() * $this->height, $this->withRoot($box), $this->leftOut);
        }
        $left = (int) round($part->left * $this->width);
        $top = (int) round($part->top * $this->height);
        $window = [$left, $top, max(1, (int) round($part->right * $this->width) - $left), max(1, (int) round($part->bottom * $this->height) - $top)];

        return new self($this->type, $window[2], $window[3], $this->content, $this->leftOut, $window, $this->keep);
    }

    /** The same SVG, clipped to its page whatever part of it is shown. */
    public function keptToPage(): self
    {
        [$x, $y, $width, $height] = $this->page();
        $box = sprintf(' viewBox="%.6f %.6f %.6f %.6f"', $x, $y, $width, $height);
        $within = sprintf('<svg x="%.6f" y="%.6f" width="%.6f" height="%.6f"%s preserveAspectRatio="none">', $x, $y, $width, $height, $box);
        $markup = preg_replace(['#^<svg\b[^>]*>#', '#</svg>\s*$#'], ["$0$within", '</svg></svg>'], $this->withRoot($box), 1);

        return new self($this->type, $this->width, $this->height, (string) $markup, $this->leftOut);
    }

    /** @return array{float, float, float, float} left, top, width and height of an SVG's page in its own unit */
    private function page(): array
    {
        $told = preg_match('/^<svg\b[^>]*\sviewBox="([^"]+)"/', $this->content, $found) === 1 ? $found[1] : '';

        return SvgViewBox::read($told) ?? [0.0, 0.0, $this->width, $this->height];
    }

    /** An SVG's markup with another viewBox. */
    private function withRoot(string $box): string
    {
        return (string) preg_replace_callback('/^<svg\b([^>]*[^\/>]|)>/', fn (array $root): string => '<svg'.preg_replace('/\s(viewBox|overflow|width|height|preserveAspectRatio)="[^"]*"/', '', $root[1])."$box>", $this->content, 1);
    }

    public function isVector(): bool
    {
        return $this->type === PictureType::Svg;
    }

    public function aspect(): float
    {
        return $this->height / $this->width;
    }

    /** The pixels, rotated by their Exif orientation, in sRGB with alpha; an SVG is rendered at one pixel per unit, within bounds. */
    public function pixels(): Image
    {
        if ($this->isVector()) {
            return ImageFile::drawing($this->sized())->asInk();
        }
        $read = fn (): Image => IntoSrgb::of(ImageFile::read($this->type, $this->content), $this->type, $this->content)->autorotated()->asInk();
        $whole = $this->keep === null ? $read() : ($this->keep)($read);

        return $this->part === null ? $whole : $whole->crop(...$this->part);
    }

    /** An SVG's markup with a size in pixels within bounds. */
    private function sized(): string
    {
        $longer = max($this->width, $this->height);
        $by = max(self::LEAST_DRAWN, min(self::MOST_DRAWN, $longer)) / $longer;
        if ($by === 1.0) {
            return $this->content;
        }
        $size = array_map(fn (float $side): int => max(1, (int) round($side * $by)), [$this->width, $this->height]);

        return $this->withRoot(sprintf(' viewBox="%s" width="%d" height="%d" preserveAspectRatio="none"', implode(' ', $this->page()), ...$size));
    }

    /** The SVG's own markup, an svg element with a viewBox. */
    public function markup(): string
    {
        return $this->isVector() ? $this->content : '';
    }
}
