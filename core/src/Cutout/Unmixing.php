<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Blur;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;
use TallCrow\Raster\Vips;

/**
 * Edges of what was cut from a background: each pixel there is a mixture of the background and of what stands before it. Both colours are carried to
 * it from about it; how much of the nearer one it holds is its alpha, and what is left when the background is taken off its own colour. This is the
 * compositing equation C = α F + (1 - α) B solved for α along the line from B to F (as in blue-screen matting, Smith and Blinn 1996).
 */
final class Unmixing
{
    /** Pixels either side of the border that may be mixtures. */
    private const REACH = 2.4;

    /** Levels of the bell that count as touched. */
    private const TOUCHED = 4.0;

    /** Pixels from about which colours are carried. */
    private const CARRIED = 3.0;

    private const BLOCK = 3;

    /** What is more unlike the background says more about what stands before it: of what is within so many pixels, by this power, nearly only the most unlike. */
    private const UNLIKE = 16.0;

    private const AMONG = 7;

    /** From the distance between two colours, which is 255 √3 at most. */
    private const TO_BYTE = 0.57735;

    /** What is less than so many times the background's grain is taken for grain, but never more than so much alpha. */
    private const GRAIN = 1.5;

    private const FAINT = 0.08;

    /** By how much the scatter of colours about an edge is multiplied beside the distance across it, and what that of the subject counts (by trial). */
    private const SCATTER = 4.0;

    private const BEFORE = 0.25;

    /** Deviation in pixels of an edge that is known by its shape alone: about that of a lens (common practice). */
    private const SHARP = 0.6;

    /** How much a difference of colour weighs beside one of lightness where a file keeps colour at half the size, as most JPEGs do (common practice). */
    private const COARSE_COLOUR = 0.05;

    /** Luma of BT.601, by which JFIF takes colour and lightness apart. */
    private const LUMA = [0.299, 0.587, 0.114];

    /**
     * Of what was cut from a ground of a few colours.
     *
     * @param  Image  $gone  255 where all is background
     */
    public static function edges(Image $ink, Image $gone): Image
    {
        return self::worked($ink, $gone, false);
    }

    /**
     * Of what was cut from any ground: where its colours say nothing, the shape of the cut does.
     *
     * @param  Image  $gone  255 where all is background
     */
    public static function edgesOfShape(Image $ink, Image $gone): Image
    {
        return self::worked($ink, $gone, true);
    }

    private static function worked(Image $ink, Image $gone, bool $byShape): Image
    {
        // A bell that touches the border reaches about two deviations to either side of it.
        $soft = Blur::rough($gone, self::REACH / 2, 0.02)->settled();
        $sure = $soft->isMore(255 - self::TOUCHED)->settled();
        $mixed = $soft->isMore(self::TOUCHED)->both($sure->inverted())->settled();
        $cleared = $ink->masked($gone->inverted());
        // Only where there are mixtures: in most pictures that is a small part of it.
        $tiles = Tiles::with($mixed, (int) (5 * self::CARRIED));
        if ($tiles === null) {
            return $cleared;
        }
        if ($tiles->areMost()) {
            return self::unmixed($ink->settled(), $gone, $sure, $mixed, $byShape);
        }
        $packed = $tiles->packed($ink->settled()->withBand($gone)->withBand($sure)->withBand($mixed));
        $clean = self::unmixed($packed->band(0, 4)->settled(), $packed->band(4), $packed->band(5)->settled(), $packed->band(6)->settled(), $byShape);

        return $tiles->laid($clean->settled(), $cleared);
    }

    private static function unmixed(Image $ink, Image $gone, Image $sure, Image $mixed, bool $byShape): Image
    {
        $colour = $ink->band(0, 3);
        $ground = self::carried($colour, $sure);
        $off = $colour->minus($ground);
        $difference = self::between($colour, $ground);
        $most = $difference->divided(Morphology::dilated($difference, self::AMONG)->linear(1.0, 1.0))->linearByte(255.0);
        $unlike = Lookup::bytes($most, array_map(fn (int $level): int => (int) round(255 * ($level / 255) ** self::UNLIKE), range(0, 255)))->times($gone->inverted())->settled();
        $before = self::carried($colour, $unlike);
        $way = $before->minus($ground);
        $coarse = $ink->has(ImageFile::JPEG_NOTE);
        $weighed = $coarse ? self::byLuma($way) : $way;
        $length = ColourBands::product($way, $weighed)->settled();
        $alpha = ColourBands::product($off, $weighed)->divided($length->linear(1.0, 1.0))->unitToByte()->settled();
        // Its own colour: the less of it there is, the more is taken from about it.
        $part = $alpha->linear(1 / 255)->settled();
        $own = $off->divided($part->linear(1.0, 0.02))->plus($ground);
        if ($coarse) {
            // Of its own only the lightness is sharp.
            $own = $before->plus(self::luma($own->minus($before)));
        }
        $clean = $own->multiplied($part)->plus($before->multiplied($part->linear(-1.0, 1.0)))->linearByte(1.0)->asColours();
        $alpha = ! $byShape ? $alpha : self::steady($alpha, $length, self::carried($difference, $sure), self::carried(self::between($colour, $before), $gone->either($mixed)->inverted()->settled()), $gone);
        $kept = $mixed->chosen(self::overGrain($alpha, $length, self::grain($difference, $sure)), $gone->inverted());

        return $mixed->chosen($clean, $ink->band(0, 3))->asColours()->withBand($ink->alpha()->times($kept));
    }

    /** How far two colours are apart at each pixel, in a byte. */
    private static function between(Image $one, Image $other): Image
    {
        $off = $one->minus($other);

        return ColourBands::product($off, $off)->raised(0.5)->linearByte(self::TO_BYTE)->settled();
    }

    /**
     * An alpha that goes by the shape of what is cut where colours scatter about the edge as widely as the two sides lie apart, and so say nothing:
     * N. Wiener's weight of a signal beside its noise.
     *
     * @param  Image  $length  squared levels between the two colours
     * @param  Image  $ground  how far the ground's pixels about it are off their mean, as of between()
     * @param  Image  $before  the same of what stands before it
     */
    private static function steady(Image $alpha, Image $length, Image $ground, Image $before, Image $gone): Image
    {
        $noise = $ground->multiplied($ground)->plus($before->multiplied($before)->linear(self::BEFORE, 0.0))->linear((self::SCATTER / self::TO_BYTE) ** 2, 1.0);
        $shape = Blur::gaussian($gone->inverted()->settled(), self::SHARP, 0.02);

        return $alpha->minus($shape)->multiplied($length->divided($length->plus($noise)))->plus($shape)->linearByte(1.0)->settled();
    }

    /** Levels that half of the background's pixels are at most off its colour. */
    private static function grain(Image $difference, Image $sure): float
    {
        $counts = Histogram::summedBy($sure, $difference);
        $half = array_sum($counts) / 2;
        $sum = 0.0;
        foreach ($counts as $level => $count) {
            $sum += $count;
            if ($sum > $half) {
                return $level / self::TO_BYTE;
            }
        }

        return 0.0;
    }

    /**
     * An alpha without what may as well be the background's grain: none up to it, all from twice as much on.
     *
     * @param  Image  $length  squared levels between the two colours
     * @param  float  $grain  levels
     */
    private static function overGrain(Image $alpha, Image $length, float $grain): Image
    {
        if ($grain < 1.0) {
            return $alpha;
        }
        // As many times its own grain; what is more than faint is no grain, however strong that is.
        $times = $alpha->multiplied($length->raised(0.5))->linear(1 / self::GRAIN / $grain, -255.0)->linearByte(1.0);

        return $alpha->times($times->lighter($alpha->linearByte(1 / self::FAINT, -255.0)))->settled();
    }

    /** Colours as they are about each pixel, by weight; far from any weight, none. Carried colours have nothing fine: they are worked at a third of the size. */
    private static function carried(Image $colour, Image $weight): Image
    {
        $by = self::BLOCK;
        [$across, $down] = [intdiv($colour->width(), $by) + 3, intdiv($colour->height(), $by) + 3];
        $small = fn (Image $image): Image => Blur::gaussian($image->spread($by, $by, $across * $by, $down * $by)->shrunk($by), self::CARRIED / $by, 0.01);
        // In whole numbers: a colour times its weight takes 16 bits.
        $weighed = $small($colour->multiplied($weight));
        $mean = $weighed->divided($small($weight->linearShort(257.0, 0.0))->linear(1 / 257, 1e-3))->linearByte(1.0)->settled();

        return $mean->zoomed($by)->crop($by, $by, $colour->width(), $colour->height());
    }

    /** Lightness in all three bands. */
    private static function luma(Image $bands): Image
    {
        return $bands->operation('recomb', [Image::of(Vips::matrix([self::LUMA, self::LUMA, self::LUMA]))]);
    }

    /** A difference of colours, weighed so that its product with another is mostly that of their lightness: w I + 3 (1 - w) y yᵗ. */
    private static function byLuma(Image $way): Image
    {
        $row = fn (float $own): array => array_map(fn (float $other): float => 3 * (1 - self::COARSE_COLOUR) * $own * $other, self::LUMA);
        $matrix = array_map($row, self::LUMA);
        foreach (array_keys(self::LUMA) as $i) {
            $matrix[$i][$i] += self::COARSE_COLOUR;
        }

        return $way->operation('recomb', [Image::of(Vips::matrix($matrix))]);
    }
}
