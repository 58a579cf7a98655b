<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Bend;
use TallCrow\Raster\Image;

/** Resamples a raster to its size, turn and place on the pixel grid, with subpixel precision. */
final class RasterPlacer
{
    /** Shrunk pictures of fewer pixels than this are also cached for later. */
    private const SMALL = 4_000_000;

    /** Tolerance of a scale factor that counts as 1: a hundredth of a pixel in ten thousand. */
    private const NOT_SCALED = 1e-6;

    /** Tolerance of a shift, in pixels, that counts as whole. */
    private const NOT_BETWEEN = 0.002;

    /**
     * The last shrunk picture and its key, so that copies and parts of a piece shrink it once.
     *
     * @var array{string, Image}|null
     */
    private static ?array $shrunk = null;

    /**
     * @param  string  $key  identifies the source's pixels; empty if they will not be needed again
     * @param  int  $finer  pixels of a source that is to be bent to a pixel of the frame
     */
    public static function place(Image $source, Placing $placing, Frame $frame, string $key = '', Pictures $pictures = new NoPictures, int $finer = 1): Image
    {
        if ($placing->bend !== null && $finer > 1) {
            return self::bent($source, $placing, $placing->bend, $frame, $finer, false);
        }
        $across = $placing->pictureWidth * $frame->ppi / $source->width();
        $down = $placing->pictureHeight * $frame->ppi / $source->height();
        // First shrink by a filter that reads every source pixel; the remaining map has a scale of about 1.
        if ($across < 1 - self::NOT_SCALED || $down < 1 - self::NOT_SCALED) {
            [$width, $height] = [max(1, round($source->width() * min(1, $across))), max(1, round($source->height() * min(1, $down)))];
            $name = "shrunk $key $width $height";
            $small = fn (): Image => $source->resized($width / $source->width(), $height / $source->height())->settled();
            $source = match (true) {
                $key === '' => $small(),
                $width * $height < self::SMALL => self::shrunk($name, fn (): Image => $pictures->image($name, $small)),
                default => self::shrunk($name, $small),
            };
        }
        if ($placing->bend !== null) {
            return self::bent($source, $placing, $placing->bend, $frame, 1, $source->isOpaque());
        }
        $map = Affine::shift(-$source->width() / 2, -$source->height() / 2)
            ->then(Affine::scale($placing->width / $source->width(), $placing->height / $source->height()))
            ->then($placing->toSheet)
            ->then(Affine::scale($frame->ppi, $frame->ppi));

        // The library measures from pixel centres, the sheet from pixel edges: correct by half a pixel on both sides.
        [$shiftX, $shiftY] = $map->apply(0.5, 0.5);
        if (self::isWholeShift($map, $shiftX - 0.5, $shiftY - 0.5)) {
            return $source->embed((int) round($shiftX - 0.5) - $frame->left, (int) round($shiftY - 0.5) - $frame->top, $frame->width, $frame->height);
        }

        $place = $source->isOpaque() ? $source->affineOpaque(...) : $source->affine(...);

        return $place([$map->a, $map->c, $map->b, $map->d], $shiftX - 0.5, $shiftY - 0.5, $frame->left, $frame->top, $frame->width, $frame->height);
    }

    /** Whether every pixel lands on a pixel of the grid, so that nothing needs to be interpolated. */
    private static function isWholeShift(Affine $map, float $x, float $y): bool
    {
        return max(abs($map->a - 1), abs($map->b), abs($map->c), abs($map->d - 1)) < self::NOT_SCALED
            && max(abs($x - round($x)), abs($y - round($y))) < self::NOT_BETWEEN;
    }

    /** @param  \Closure(): Image  $make */
    private static function shrunk(string $key, \Closure $make): Image
    {
        if (self::$shrunk === null || self::$shrunk[0] !== $key) {
            self::$shrunk = null;
            self::$shrunk = [$key, $make()];
        }

        return self::$shrunk[1];
    }

    private static function bent(Image $source, Placing $placing, Bend $bend, Frame $frame, int $finer, bool $isOpaque): Image
    {
        $toOwn = $placing->toSheet->inverse();
        $toPixels = Affine::shift($placing->pictureWidth / 2, $placing->pictureHeight / 2)
            ->then(Affine::scale($source->width() / $placing->pictureWidth, $source->height() / $placing->pictureHeight));

        return Resampler::bent($source, fn (float $x, float $y): array => $toPixels->apply(...($bend->back)(...$toOwn->apply($x, $y))), $frame, $placing->box(), $finer, $isOpaque);
    }
}
