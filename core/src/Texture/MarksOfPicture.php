<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Colour\Srgb;
use TallCrow\Noise\Field;
use TallCrow\Raster\Blur;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * A seller's picture as a field of wear: what is light in it goes first, or what is opaque where the picture is transparent elsewhere. Mirrored
 * beside itself, so that it repeats without a seam. Of a picture of two levels, as packs of wear are, each place goes the sooner the more mark lies
 * about it, near by and further off: a share above or below the marks' own grows or shrinks them, and nothing thins.
 */
final class MarksOfPicture
{
    /** Levels between which a pixel is neither mark nor ground. */
    private const BETWEEN = [48, 208];

    /** A picture with less than this share of its pixels in between has two levels. */
    private const FEW = 0.25;

    /** Deviation in pixels of the grain that parts even greys, its seed, and how many of 256 parts of the whole it is: six levels. */
    private const GRAIN = 1.2;

    private const SEED = 5;

    private const GRAINY = 6.0;

    /** Pixels within which marks count, and how much. */
    private const NEAR = [[1.5, 0.45], [8.0, 0.25], [40.0, 0.17], [160.0, 0.13]];

    /** Share of clear pixels from which on a picture's alpha says what its marks are. */
    private const CLEAR = 0.02;

    /** As it is: the marks themselves, 255 where ink goes. */
    public static function marks(Image $pixels): Image
    {
        $alpha = $pixels->alpha();
        $clear = $alpha->isLess(128.0)->mean() / 255;
        $light = $clear > self::CLEAR ? $alpha : ColourBands::luminance(Composition::onCloth($pixels, Srgb::of(0, 0, 0)));

        return $light->resized(Texture::TILE / 2 / $light->width())->settled()->kaleidoscoped()->settled();
    }

    public static function field(Image $pixels): Image
    {
        $marks = self::marks($pixels);
        if (! self::hasTwoLevels($marks)) {
            return self::even($marks);
        }
        $sum = null;
        [$width, $height] = [$marks->width(), $marks->height()];
        foreach (self::NEAR as [$sigma, $strength]) {
            $margin = Blur::margin($sigma);
            $near = Blur::wide($marks->tiled($margin, $margin, $width + 2 * $margin, $height + 2 * $margin)->settled(), $sigma)->crop($margin, $margin, $width, $height)->linear($strength);
            $sum = $sum === null ? $near : $sum->plus($near);
        }

        return Lookup::equalised($sum->linearByte(1.0))->settled();
    }

    /**
     * Greys with every level as common as any other: where the picture is as even as a wall, some grain says what goes first, so that ink goes or stays as a
     * whole there, too.
     */
    private static function even(Image $greys): Image
    {
        $grain = Field::grain(self::SEED, self::GRAIN)->tiled(0, 0, $greys->width(), $greys->height());
        $fine = $greys->linear(256 - self::GRAINY)->plus($grain->linear(self::GRAINY))->linearShort(1.0, 0.0)->settled();
        $counts = Histogram::ofShorts($fine);
        $all = max(1, array_sum($counts));
        [$table, $sum] = ['', 0];
        foreach (array_pad($counts, 65536, 0) as $count) {
            $table .= chr((int) round(255 * ($sum + $count / 2) / $all));
            $sum += $count;
        }

        return Lookup::shortsToBytes($fine, $table)->settled();
    }

    /** Whether the picture is of marks and nothing in between. */
    private static function hasTwoLevels(Image $light): bool
    {
        [$from, $to] = self::BETWEEN;
        $levels = Histogram::of($light);

        return array_sum(array_slice($levels, $from, $to - $from)) < self::FEW * array_sum($levels);
    }
}
