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
 * A seller's picture as a field of wear: light parts wear first, or, if the picture has transparency, opaque parts. It is mirrored, so that it tiles without
 * a seam. For a two-level picture, as in packs of wear textures, the field is the blurred density of marks at several radii: a share above or below the
 * marks' own grows or shrinks them, and nothing becomes half-transparent.
 */
final class MarksOfPicture
{
    /** Levels between these are neither mark nor ground. */
    private const BETWEEN = [48, 208];

    /** A picture with less than this share of such pixels counts as having two levels. */
    private const FEW = 0.25;

    /** Grain that breaks up even greys: sigma in pixels, seed, and its share of the field in 256ths (six levels). */
    private const GRAIN = 1.2;

    private const SEED = 5;

    private const GRAINY = 6.0;

    /** Radii in pixels at which the density of marks is measured, and their weights. */
    private const NEAR = [[1.5, 0.45], [8.0, 0.25], [40.0, 0.17], [160.0, 0.13]];

    /** From this share of clear pixels on, a picture's alpha defines its marks. */
    private const CLEAR = 0.02;

    /** The marks as they are: 255 where ink is removed. */
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
     * Equalises greys. In even areas some grain decides what wears first, so that ink is either removed or kept there, not thinned.
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

    /** Whether the picture has only marks and ground, and hardly anything in between. */
    private static function hasTwoLevels(Image $light): bool
    {
        [$from, $to] = self::BETWEEN;
        $levels = Histogram::of($light);

        return array_sum(array_slice($levels, $from, $to - $from)) < self::FEW * array_sum($levels);
    }
}
