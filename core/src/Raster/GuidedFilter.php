<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * Smooths a picture within its own edges: each pixel becomes a factor times itself plus a rest, both fitted about it. The filter of K. He, J. Sun and
 * X. Tang ("Guided Image Filtering", 2010), guided by the picture itself and worked at a fraction of the size (He and Sun, "Fast Guided Filter", 2015).
 */
final class GuidedFilter
{
    /** Pixels of sigma from which on a third of the size carries it. */
    private const BROAD = 3.0;

    /**
     * @param  Image  $image  bands of bytes
     * @param  float  $sigma  breadth of what is smoothed, in pixels
     * @param  float  $edge  levels of contrast from which on something is an edge
     * @param  array{int, int}  $at  what the first pixel counts as, so that a part comes out as in the whole
     * @return Image bytes
     */
    public static function filtered(Image $image, float $sigma, float $edge, array $at = [0, 0]): Image
    {
        $by = self::block($sigma);
        // Blocks lie on a grid of the sheet, wherever the picture begins.
        [$left, $top] = array_map(fn (int $from): int => $by + ($from % $by + $by) % $by, $at);
        [$across, $down] = [intdiv($left + $image->width(), $by) + 2, intdiv($top + $image->height(), $by) + 2];
        // Means of blocks, and straight lines between them, soften by themselves: variances of 1/12 and 1/6 of a block.
        $rest = $by > 1 ? sqrt(($sigma / $by) ** 2 - 1 / 4) : $sigma;
        $mean = fn (Image $of): Image => Blur::gaussian($of, $rest, 0.02)->settled();
        $small = $image->spread($left, $top, $across * $by, $down * $by)->shrunk($by)->linear(1.0)->settled();
        $middle = $mean($small);
        $variance = $mean($small->multiplied($small))->minus($middle->multiplied($middle))->settled();
        // Where it varies by much more than the edge, it is followed; where by less, the mean takes over.
        $factor = $variance->divided($variance->linear(1.0, $edge ** 2))->settled();
        $fitted = $mean($factor->withBand($middle->minus($factor->multiplied($middle))));
        $grown = $fitted->interpolated($by, ($across - 1) * $by, ($down - 1) * $by)
            ->crop($left - intdiv($by, 2), $top - intdiv($by, 2), $image->width(), $image->height());
        $bands = $image->bands();

        return $grown->band(0, $bands)->multiplied($image)->plus($grown->band($bands, $bands))->linearByte(1.0);
    }

    /** Pixels to a block, an odd number: such a block has a middle. */
    private static function block(float $sigma): int
    {
        return $sigma < self::BROAD ? 1 : max(3, 2 * (int) floor(($sigma / 2 - 1) / 2) + 1);
    }
}
