<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * Smooths a picture within the edges of another: each pixel becomes a factor times the guide plus a rest, both fitted about it. The filter of K. He,
 * J. Sun and X. Tang ("Guided Image Filtering", 2010), worked at a fraction of the size (He and Sun, "Fast Guided Filter", 2015).
 */
final class GuidedFilter
{
    /**
     * @param  Image  $image  bands of bytes
     * @param  Image  $guide  as large, with as many bands
     * @param  float  $sigma  breadth of what is smoothed, in pixels
     * @param  float  $edge  levels of contrast in the guide from which on something is an edge
     * @param  array{int, int}  $at  what the first pixel counts as, so that a part comes out as in the whole
     * @return Image bytes
     */
    public static function filtered(Image $image, Image $guide, float $sigma, float $edge, array $at = [0, 0]): Image
    {
        $by = max(1, (int) floor($sigma / 3));
        // Blocks lie on a grid of the sheet, wherever the picture begins.
        [$left, $top] = array_map(fn (int $from): int => $by + ($from % $by + $by) % $by, $at);
        [$across, $down] = [intdiv($left + $guide->width(), $by) + 2, intdiv($top + $guide->height(), $by) + 2];
        $small = fn (Image $of): Image => $of->spread($left, $top, $across * $by, $down * $by)->shrunk($by)->linear(1.0)->settled();
        $mean = fn (Image $of): Image => Blur::gaussian($of, $sigma / $by, 0.02)->settled();
        $guides = $small($guide);
        $images = $image === $guide ? $guides : $small($image);
        [$guideMean, $imageMean] = [$mean($guides), $mean($images)];
        $variance = $mean($guides->multiplied($guides))->minus($guideMean->multiplied($guideMean));
        $together = $image === $guide ? $variance : $mean($guides->multiplied($images))->minus($guideMean->multiplied($imageMean));
        // Where the guide varies by much more than the edge, it is followed; where by less, the mean takes over.
        $factor = $together->divided($variance->linear(1.0, $edge ** 2))->settled();
        $rest = $mean($imageMean->minus($factor->multiplied($guideMean)));
        $factor = $mean($factor);
        $grown = fn (Image $of): Image => $of->interpolated($by, ($across - 1) * $by, ($down - 1) * $by)
            ->crop($left - intdiv($by, 2), $top - intdiv($by, 2), $guide->width(), $guide->height());

        return $grown($factor)->multiplied($guide)->plus($grown($rest))->linearByte(1.0);
    }
}
