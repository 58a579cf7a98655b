<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/**
 * Edge-preserving smoothing: each pixel becomes a × itself + b, with a and b fitted to its neighbourhood. The guided filter of K. He, J. Sun and X. Tang
 * ("Guided Image Filtering", 2010), guided by the picture itself, with coefficients computed at a fraction of the size (He and Sun, "Fast Guided Filter",
 * 2015).
 */
final class GuidedFilter
{
    /** From this sigma on, in pixels, a third of the size is sufficient. */
    private const BROAD = 3.0;

    /**
     * @param  Image  $image  bands of bytes
     * @param  float  $sigma  size of the neighbourhood, in pixels
     * @param  float  $edge  contrast, in levels, above which something counts as an edge
     * @param  array{int, int}  $at  coordinates of the first pixel on the sheet, by which blocks are aligned: so a part is equal to the crop of the whole
     * @return Image bytes
     */
    public static function filtered(Image $image, float $sigma, float $edge, array $at = [0, 0]): Image
    {
        $by = self::block($sigma);
        // Align blocks to the sheet's grid, wherever the picture begins.
        [$left, $top] = array_map(fn (int $from): int => $by + ($from % $by + $by) % $by, $at);
        [$across, $down] = [intdiv($left + $image->width(), $by) + 2, intdiv($top + $image->height(), $by) + 2];
        // The mean of a block and linear interpolation blur by themselves, with variances of 1/12 and 1/6 squared blocks: subtract 1/4.
        $rest = $by > 1 ? sqrt(($sigma / $by) ** 2 - 1 / 4) : $sigma;
        $mean = fn (Image $of): Image => Blur::gaussian($of, $rest, 0.02)->settled();
        $small = $image->spread($left, $top, $across * $by, $down * $by)->shrunk($by)->linear(1.0)->settled();
        $middle = $mean($small);
        $variance = $mean($small->multiplied($small))->minus($middle->multiplied($middle))->settled();
        // a = var / (var + edge²): about 1 where contrast is well above the edge (keep the pixel), about 0 below (take the mean).
        $factor = $variance->divided($variance->linear(1.0, $edge ** 2))->settled();
        $fitted = $mean($factor->withBand($middle->minus($factor->multiplied($middle))));
        $grown = $fitted->interpolated($by, ($across - 1) * $by, ($down - 1) * $by)
            ->crop($left - intdiv($by, 2), $top - intdiv($by, 2), $image->width(), $image->height());
        $bands = $image->bands();

        return $grown->band(0, $bands)->multiplied($image)->plus($grown->band($bands, $bands))->linearByte(1.0);
    }

    /** Side of a block in pixels. It is odd, so that a block has a centre pixel. */
    private static function block(float $sigma): int
    {
        return $sigma < self::BROAD ? 1 : max(3, 2 * (int) floor(($sigma / 2 - 1) / 2) + 1);
    }
}
