<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;

/** Smooths what is flat and keeps what is an edge: the guided filter of He, Sun and Tang (2010), worked at a fraction of the size (He and Sun 2015). */
final class Smoothing
{
    /**
     * Colours of ink, its alpha as it was.
     *
     * @param  float  $sigma  breadth of what is smoothed, in pixels
     * @param  float  $edge  levels of contrast from which on something is an edge
     * @param  array{int, int}  $at  what the first pixel counts as
     */
    public static function guided(Image $ink, float $sigma, float $edge, array $at): Image
    {
        $full = Blur::coloursExtended($ink, $sigma, $at)->band(0, 3)->settled();
        $by = max(1, (int) floor($sigma / 3));
        // Blocks lie on a grid of the sheet, wherever the picture begins.
        [$left, $top] = array_map(fn (int $from): int => $by + ($from % $by + $by) % $by, $at);
        [$across, $down] = [intdiv($left + $full->width(), $by) + 2, intdiv($top + $full->height(), $by) + 2];
        $small = $full->spread($left, $top, $across * $by, $down * $by)->shrunk($by)->linear(1.0)->settled();
        $blurred = fn (Image $image): Image => Blur::gaussian($image, $sigma / $by, 0.02)->settled();
        $mean = $blurred($small);
        $variance = $blurred($small->multiplied($small))->minus($mean->multiplied($mean));
        // Where colours vary by much more than the edge, the picture stays; where by less, its mean takes over.
        $own = $variance->divided($variance->linear(1.0, $edge ** 2))->settled();
        $rest = $blurred($mean->minus($own->multiplied($mean)));
        $own = $blurred($own);
        $grown = fn (Image $image): Image => $image->interpolated($by, ($across - 1) * $by, ($down - 1) * $by)
            ->crop($left - intdiv($by, 2), $top - intdiv($by, 2), $full->width(), $full->height());

        return $grown($own)->multiplied($full)->plus($grown($rest))->linearByte(1.0)->asColours()->withBand($ink->alpha());
    }
}
