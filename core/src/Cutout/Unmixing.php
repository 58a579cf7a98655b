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
 * Unmixes the edge pixels of a cut-out, each of which mixes the background B and the foreground F. Both colours are extended to the pixel from its
 * surroundings; then the compositing equation C = α F + (1 − α) B is solved for α along the line from B to F (as in blue-screen matting, Smith and Blinn 1996),
 * and the background's part is removed from the colour.
 */
final class Unmixing
{
    /** Pixels on either side of the border that may be mixtures. */
    private const REACH = 2.4;

    /** Level of the blurred mask from which on a pixel counts as near the border. */
    private const TOUCHED = 4.0;

    /** Sigma, in pixels, by which colours are extended. */
    private const CARRIED = 3.0;

    private const BLOCK = 3;

    /**
     * Pixels less similar to the background tell more about the foreground: within AMONG pixels they are weighted by their distance to this power, so that
     * almost only the least similar count.
     */
    private const UNLIKE = 16.0;

    private const AMONG = 7;

    /** Scales a colour distance (at most 255 √3) to a byte. */
    private const TO_BYTE = 0.57735;

    /** Alpha below this many times the background's grain counts as grain, up to a limit. */
    private const GRAIN = 1.5;

    private const FAINT = 0.08;

    /** Factor on the scatter of colours near an edge against the distance across it, and the weight of the subject's own scatter (found by trial). */
    private const SCATTER = 4.0;

    private const BEFORE = 0.25;

    /** Sigma, in pixels, of an edge that is known by its shape alone: about that of a lens (common practice). */
    private const SHARP = 0.6;

    /** Weight of chroma against luma in files with subsampled chroma, as most JPEGs have (common practice). */
    private const COARSE_COLOUR = 0.05;

    /** Luma weights of BT.601, used by JFIF. */
    private const LUMA = [0.299, 0.587, 0.114];

    /**
     * For a cut-out from a background of a few colours.
     *
     * @param  Image  $gone  mask: 255 for pure background
     */
    public static function edges(Image $ink, Image $gone): Image
    {
        return self::worked($ink, $gone, false);
    }

    /**
     * For a cut-out from any background: where colours are not conclusive, alpha follows the shape of the cut.
     *
     * @param  Image  $gone  mask: 255 for pure background
     */
    public static function edgesOfShape(Image $ink, Image $gone): Image
    {
        return self::worked($ink, $gone, true);
    }

    private static function worked(Image $ink, Image $gone, bool $byShape): Image
    {
        // A Gaussian extends about two sigmas to either side of the border.
        $soft = Blur::rough($gone, self::REACH / 2, 0.02)->settled();
        $sure = $soft->isMore(255 - self::TOUCHED)->settled();
        $mixed = $soft->isMore(self::TOUCHED)->both($sure->inverted())->settled();
        $cleared = $ink->masked($gone->inverted());
        // Process only tiles with mixtures, in most pictures a small part.
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
        // The pixel's own colour; the lower its alpha, the more of the extended colour is used.
        $part = $alpha->linear(1 / 255)->settled();
        $own = $off->divided($part->linear(1.0, 0.02))->plus($ground);
        if ($coarse) {
            // With subsampled chroma only the luma is sharp.
            $own = $before->plus(self::luma($own->minus($before)));
        }
        $clean = $own->multiplied($part)->plus($before->multiplied($part->linear(-1.0, 1.0)))->linearByte(1.0)->asColours();
        $alpha = ! $byShape ? $alpha : self::steady($alpha, $length, self::carried($difference, $sure), self::carried(self::between($colour, $before), $gone->either($mixed)->inverted()->settled()), $gone);
        $kept = $mixed->chosen(self::overGrain($alpha, $length, self::grain($difference, $sure)), $gone->inverted());

        return $mixed->chosen($clean, $ink->band(0, 3))->asColours()->withBand($ink->alpha()->times($kept));
    }

    /** Distance of two colours at each pixel, scaled to a byte. */
    private static function between(Image $one, Image $other): Image
    {
        $off = $one->minus($other);

        return ColourBands::product($off, $off)->raised(0.5)->linearByte(self::TO_BYTE)->settled();
    }

    /**
     * Blends the alpha from colours with the alpha from the cut's shape, by a Wiener weight (signal ÷ (signal + noise)): where colours scatter as much as both
     * sides differ, they are not conclusive.
     *
     * @param  Image  $length  squared distance of the two colours, in levels
     * @param  Image  $ground  local scatter of the background, as from between()
     * @param  Image  $before  local scatter of the foreground
     */
    private static function steady(Image $alpha, Image $length, Image $ground, Image $before, Image $gone): Image
    {
        $noise = $ground->multiplied($ground)->plus($before->multiplied($before)->linear(self::BEFORE, 0.0))->linear((self::SCATTER / self::TO_BYTE) ** 2, 1.0);
        $shape = Blur::gaussian($gone->inverted()->settled(), self::SHARP, 0.02);

        return $alpha->minus($shape)->multiplied($length->divided($length->plus($noise)))->plus($shape)->linearByte(1.0)->settled();
    }

    /** The median distance of background pixels from the background's colour, in levels. */
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
     * Removes alpha that may be the background's grain: 0 up to the grain's strength, unchanged from twice that on.
     *
     * @param  Image  $length  squared distance of the two colours, in levels
     * @param  float  $grain  levels
     */
    private static function overGrain(Image $alpha, Image $length, float $grain): Image
    {
        if ($grain < 1.0) {
            return $alpha;
        }
        // In multiples of the grain. More than faint alpha is never grain, however strong the grain is.
        $times = $alpha->multiplied($length->raised(0.5))->linear(1 / self::GRAIN / $grain, -255.0)->linearByte(1.0);

        return $alpha->times($times->lighter($alpha->linearByte(1 / self::FAINT, -255.0)))->settled();
    }

    /** Locally weighted mean of colours; 0 far from any weight. Computed at a third of the size, since the result has no fine detail. */
    private static function carried(Image $colour, Image $weight): Image
    {
        $by = self::BLOCK;
        [$across, $down] = [intdiv($colour->width(), $by) + 3, intdiv($colour->height(), $by) + 3];
        $small = fn (Image $image): Image => Blur::gaussian($image->spread($by, $by, $across * $by, $down * $by)->shrunk($by), self::CARRIED / $by, 0.01);
        // Integer arithmetic: a colour times its weight fits into 16 bits.
        $weighed = $small($colour->multiplied($weight));
        $mean = $weighed->divided($small($weight->linearShort(257.0, 0.0))->linear(1 / 257, 1e-3))->linearByte(1.0)->settled();

        return $mean->zoomed($by)->crop($by, $by, $colour->width(), $colour->height());
    }

    /** Luma, repeated in three bands. */
    private static function luma(Image $bands): Image
    {
        return $bands->operation('recomb', [Image::of(Vips::matrix([self::LUMA, self::LUMA, self::LUMA]))]);
    }

    /** Multiplies a colour difference by w I + 3 (1 − w) y yᵗ, so that its dot product with another is dominated by luma. */
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
