<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;

/** A stroke or a closed shape over a picture that marks what is kept or removed. */
final readonly class Scribble
{
    public const MOST = 200;

    public const MOST_POINTS = 2000;

    /** @param  list<array{float, float}>  $points  points in shares of the picture's width and height */
    public function __construct(
        public array $points,
        /** Width as a share of the picture's longer side; 0 means the closed shape through the points. */
        public float $width,
        /** Whether it marks what is kept, instead of what goes. */
        public bool $keeps,
    ) {}

    /** @return array{points: list<array{float, float}>, width: float, keeps: bool} */
    public function toArray(): array
    {
        return ['points' => $this->points, 'width' => $this->width, 'keeps' => $this->keeps];
    }

    /** The same scribble relative to a part of the picture, given by its left, top, width and height and the picture's size in pixels. */
    public function within(int $left, int $top, int $width, int $height, int $ofWidth, int $ofHeight): self
    {
        return new self(
            array_map(fn (array $point): array => [($point[0] * $ofWidth - $left) / $width, ($point[1] * $ofHeight - $top) / $height], $this->points),
            $this->width * max($ofWidth, $ofHeight) / max($width, $height), $this->keeps,
        );
    }

    /**
     * A mask of all scribbles of one kind; each covers at least a pixel.
     *
     * @param  list<self>  $scribbles
     */
    public static function mask(array $scribbles, bool $keeps, int $width, int $height): Image
    {
        $canvas = new Canvas($width, $height, Affine::identity());
        $canvas->colour(Srgb::of(255, 255, 255));
        foreach ($scribbles as $scribble) {
            if ($scribble->keeps !== $keeps || $scribble->points === []) {
                continue;
            }
            $points = array_map(fn (array $point): array => [$point[0] * $width, $point[1] * $height], $scribble->points);
            if ($scribble->width <= 0 && count($points) > 2) {
                $canvas->fill(Path::polygon($points));
            } else {
                $canvas->brushed($points, max(1.5, $scribble->width * max($width, $height)));
            }
        }

        return $canvas->mask();
    }

    /** @param  list<self>  $scribbles */
    public static function any(array $scribbles, bool $keeps): bool
    {
        return array_filter($scribbles, fn (self $scribble): bool => $scribble->keeps === $keeps && $scribble->points !== []) !== [];
    }
}
