<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/** Resamples pictures through a warp by inverse mapping: each pixel of the window is looked up where it comes from. */
final class Resampler
{
    /**
     * The bent picture in a window. The points lie on a grid that is fixed to the sheet, at distances chosen for the whole picture, so that a part is equal to
     * the crop of the whole.
     *
     * @param  callable(float, float): array{float, float}  $back  from inches on the sheet to pixels of the source, its first corner 0, 0
     * @param  Box  $whole  where the bent picture lies, in inches on the sheet
     * @param  int  $finer  source pixels to a window pixel along a side; a pixel is the mean of at least as many samples each way
     * @param  bool  $isOpaque  whether all of the source is opaque, which allows a quicker way
     */
    public static function bent(Image $source, callable $back, Frame $window, Box $whole, int $finer = 1, bool $isOpaque = false): Image
    {
        $sheet = Image::empty($window->width, $window->height);
        foreach (BentAreas::of($back, [$source->width(), $source->height()], $whole, $window->ppi, $finer) as $area) {
            $part = $window->overlap($area->frame);
            if ($part === null) {
                continue;
            }
            $drawn = (new BentGrid(self::points($back, $part, $area), $finer, $isOpaque))->draw($source, $part);
            if ($part == $window) {
                return $drawn;
            }
            $sheet = $sheet->insert($drawn, $part->left - $window->left, $part->top - $window->top);
        }

        return $sheet->settled();
    }

    /** @param  callable(float, float): array{float, float}  $back */
    private static function points(callable $back, Frame $window, BentArea $area): BentPoints
    {
        // All squares that the window touches, and one more point on either side.
        [$square, $step] = [BentGrid::SQUARE, $area->step];
        [$left, $top] = [(int) floor($window->left / $square) * $square - $step, (int) floor($window->top / $square) * $square - $step];
        $across = intdiv((int) ceil(($window->left + $window->width) / $square) * $square - $left, $step) + 2;
        $down = intdiv((int) ceil(($window->top + $window->height) / $square) * $square - $top, $step) + 2;

        return new BentPoints($back, $window->ppi, $across, $down, $step, $left, $top, $area->isSmooth, $area->straight, $area->isChecked);
    }
}
