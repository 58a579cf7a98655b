<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Gaussian blurs. */
final class Blur
{
    /** Level of alpha from which the colour of a pixel at an edge can be told. */
    private const EDGE = 32.0;

    /** The same of the mean of a block of pixels. */
    private const SPECK = 2.0;

    /** Share of a bell that lies over ink, twice its sigma from a straight edge. */
    private const NEAR = 0.02;

    /** Levels that tell whether an even picture stays as it is. */
    private const TRIED = [3, 37, 64, 101, 128, 157, 200, 233, 250];

    /**
     * @param  float  $sigma  in pixels
     * @param  float  $tail  where the bell is cut off, as a share of its height
     */
    public static function gaussian(Image $image, float $sigma, float $tail = 0.2): Image
    {
        return $sigma < 0.2 || ! $image->isByte() || self::keepsLevels($sigma, $tail)
            ? self::rough($image, $sigma, $tail)
            : $image->operation('gaussblur', [$sigma], ['min-ampl' => $tail, 'precision' => Precision::Float])->linearByte(1.0);
    }

    /** The same by short weights, up to 3 % off in level: for masks of which only counts how far they reach. */
    public static function rough(Image $image, float $sigma, float $tail): Image
    {
        return $sigma < 0.2 ? $image : $image->operation('gaussblur', [$sigma], ['min-ampl' => $tail]);
    }

    /** Whether the library's quick blur of 8 bits leaves an even picture as it is: for some bells its short weights add up to 3 % more or less than one. */
    private static function keepsLevels(float $sigma, float $tail): bool
    {
        static $known = [];

        return $known["$sigma $tail"] ??= (function () use ($sigma, $tail): bool {
            foreach (self::TRIED as $level) {
                $even = Image::raw(str_repeat(chr($level), 64), 8, 8, 1)->operation('gaussblur', [$sigma], ['min-ampl' => $tail]);
                if ($even->range() !== [(float) $level, (float) $level]) {
                    return false;
                }
            }

            return true;
        })();
    }

    /**
     * One 8-bit band under a whole Gaussian bell; beyond the picture its edge goes on. A broad bell leaves nothing fine, so
     * it is worked at a fraction of the size. Within two levels of the bell itself, and from four to six pixels within four: there the edge's place on
     * the grid of blocks tells.
     *
     * @param  float  $sigma  in pixels
     * @param  array{int, int}  $at  what the first pixel counts as: a part whose rim reaches margin() beyond comes out as it does in the whole
     */
    public static function wide(Image $image, float $sigma, array $at = [0, 0]): Image
    {
        if ($sigma < 4) {
            return $sigma < 0.2 ? $image : self::exact($image, $sigma)->linearByte(1.0);
        }
        // A bell of four samples and more is carried well by straight lines between them; blocks of an odd side have a middle.
        $by = self::block($sigma);
        // Blocks lie on a grid of the sheet, wherever the picture begins.
        [$left, $top] = array_map(fn (int $from): int => $by + ($from % $by + $by) % $by, $at);
        [$across, $down] = [intdiv($left + $image->width(), $by) + 3, intdiv($top + $image->height(), $by) + 3];
        // Means of blocks, straight lines in between, and a mean over those that rounds their corners (together the spline of second order) soften
        // by themselves: variances of 1/12, 1/6 and 1/12 of a block.
        $rest = sqrt(($sigma / $by) ** 2 - 1 / 3);
        $small = self::exact($image->operation('embed', [$left, $top, $across * $by, $down * $by], ['extend' => Extend::Copy])->shrunk($by), $rest)->settled();
        $middle = intdiv($by, 2);
        $lines = $small->interpolated($by, $across * $by - $by, $down * $by - $by)->crop($left - 2 * $middle, $top - 2 * $middle, $image->width() + 2 * $middle, $image->height() + 2 * $middle);
        $soft = self::averaged($lines, $by)->crop($middle, $middle, $image->width(), $image->height())->linearByte(1.0);
        // Between samples that all come to the same level there is nothing else: such parts are not computed.
        [$none, $full] = [$small->isLess(0.49)->settled(), $small->isMore(254.51)->settled()];
        $even = Morphology::worn($none)->either(Morphology::worn($full))->settled();
        $over = fn (Image $samples): Image => $samples->zoomed($by)->crop($left, $top, $image->width(), $image->height());

        return $over($even)->chosen($over($full), $soft);
    }

    /** Floating point, the bell whole. */
    public static function exact(Image $image, float $sigma): Image
    {
        return $image->linear(1.0)->operation('gaussblur', [$sigma], ['min-ampl' => 0.003, 'precision' => Precision::Float]);
    }

    /** The mean of a square of that odd side about each pixel. */
    private static function averaged(Image $image, int $side): Image
    {
        $side = max(1, $side);

        return $image->operation('convsep', [Image::of(Vips::matrix([array_fill(0, $side, 1.0 / $side)]))], ['precision' => Precision::Float]);
    }

    /** Pixels about a part that its blur needs to know. */
    public static function margin(float $sigma): int
    {
        return $sigma < 0.2 ? 0 : (int) ceil(3.5 * $sigma) + 2 * self::block($sigma);
    }

    private static function block(float $sigma): int
    {
        return max(3, 2 * (int) floor(($sigma / 4 - 1) / 2) + 1);
    }

    /**
     * The colours of ink carried outwards under clear pixels, so that an edge can be moved there: each has that of the ink beside it.
     *
     * @param  float  $pixels  as far as that at least
     * @param  array{int, int}  $at  what the first pixel counts as
     */
    public static function coloursExtended(Image $image, float $pixels, array $at = [0, 0]): Image
    {
        if ($image->alpha()->range()[0] > 250) {
            return $image;
        }
        // Colours that are carried need not be sharp: half the size will do, or a quarter where they go far.
        $by = max(2, min(4, (int) round($pixels / 6)));
        [$left, $top] = array_map(fn (int $from): int => ($from % $by + $by) % $by, $at);
        [$across, $down] = [(int) ceil(($left + $image->width()) / $by), (int) ceil(($top + $image->height()) / $by)];
        $small = $image->embed($left, $top, $across * $by, $down * $by)->shrunkInk($by)->settled();
        [$colours, $known] = [$small->band(0, 3), $small->alpha()->isMore(self::SPECK)->settled()];
        // Step by step, each twice as far as the one before, from what has a colour by then: so the nearest ink counts, and not what lies beyond it.
        for ($sigma = 1.0, $reached = 0.0; $reached * $by < $pixels; $reached += 2 * $sigma, $sigma *= 2) {
            $weight = $known->linear(1 / 255)->settled();
            $near = self::exact($weight, $sigma)->settled();
            $carried = self::exact($colours->multiplied($weight), $sigma)->divided($near->linear(1, 1e-6))->linearByte(1.0);
            $colours = $known->chosen($colours, $carried)->settled();
            $known = $known->either($near->isMore(self::NEAR))->settled();
        }
        $wide = $colours->operation('zoom', [$by, $by])->crop($left, $top, $image->width(), $image->height());

        // At an edge ink has its own colour.
        return $image->alpha()->isMore(self::EDGE)->chosen($image->band(0, 3), $wide)->asColours()->withBand($image->alpha());
    }
}
