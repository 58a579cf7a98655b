<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * Finds pixels of soft edges, which are mixtures of both sides and not colours of their own. In sRGB a mixture lies between two opposite neighbours: the sum
 * of its distances to them is hardly more than their distance from each other.
 */
final class Mixtures
{
    /** Least difference, in levels, between opposite neighbours of an edge; less is grain. */
    private const EDGE = 21.0;

    /** Largest ratio of the sum of distances to the direct distance. */
    private const DETOUR = 1.15;

    /** Least share of either side in a mixture; less is grain. */
    private const PART = 0.04;

    private const OPAQUE = 250.0;

    /** With more pixels in thin parts than this, they are grain. */
    private const GRAIN = 200_000;

    /** Radius, in pixels, within which mixtures belong to a pixel of a pure colour. */
    public const ABOUT = 2;

    /**
     * @param  Image  $ink  settled
     * @return Image 255 where a pixel is a mixture: one band
     */
    public static function of(Image $ink): Image
    {
        return self::lazily($ink)->settled();
    }

    /** Like of(), but computed on demand. */
    private static function lazily(Image $ink): Image
    {
        $colours = $ink->band(0, 3);
        [$width, $height] = [$colours->width(), $colours->height()];
        $wide = $colours->spread(1, 1, $width + 2, $height + 2);
        $at = fn (int $x, int $y): Image => $wide->crop(1 + $x, 1 + $y, $width, $height);
        $mixed = null;
        foreach ([[1, 0], [0, 1]] as [$x, $y]) {
            [$one, $other] = [$at($x, $y), $at(-$x, -$y)];
            $apart = self::apart($one, $other);
            [$near, $far] = [self::apart($colours, $one), self::apart($colours, $other)];
            $over = $near->plus($far)->minus($apart->linear(self::DETOUR))->isLess(0.0);
            $parted = $near->lesser($far)->minus($apart->linear(self::PART))->isMore(0.0);
            $here = $over->both($parted)->both($apart->isMore(self::EDGE));
            $mixed = $mixed?->either($here) ?? $here;
        }

        // Clear neighbours have no colour to compare with.
        return $mixed->both(Morphology::grown($ink->alpha()->isLess(self::OPAQUE))->inverted());
    }

    /**
     * Removes parts from a mask that consist of mixtures only: parts of one or two pixels in width without any pure pixel.
     *
     * @param  Image  $mask  255 or 0, settled
     */
    public static function without(Image $mask, Image $ink): Image
    {
        // Parts into which a 3 × 3 square fits are no edges, nor is what lies close to them.
        $body = Morphology::grown(Morphology::worn($mask), 2 * self::ABOUT + 3)->settled();
        $thin = $mask->both($body->inverted())->settled();
        // In a photograph thin parts are everywhere: that is grain, not edges.
        if ($thin->mean() === 0.0 || $thin->area() > self::GRAIN) {
            return $mask;
        }
        // Evaluated only where the mask is thin; elsewhere nothing is computed.
        $own = $thin->chosen(self::lazily($ink->settled())->inverted(), $thin)->settled();

        return $mask->both($body->either(Morphology::grown($own, 2 * self::ABOUT + 1)))->settled();
    }

    private static function apart(Image $one, Image $other): Image
    {
        $off = $one->minus($other);

        return ColourBands::product($off, $off)->raised(0.5);
    }
}
