<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Gaussian blurs. */
final class Blur
{
    /** Least alpha at which an edge pixel's own colour is reliable. */
    private const EDGE = 32.0;

    /** The same for the mean of a block of pixels. */
    private const SPECK = 2.0;

    /** Share of a Gaussian that lies over ink if its centre is two sigmas from a straight edge (0.023, rounded down). */
    private const NEAR = 0.02;

    /** Levels at which a blur is tried to see whether it keeps an even picture unchanged. */
    private const TRIED = [3, 37, 64, 101, 128, 157, 200, 233, 250];

    /**
     * @param  float  $sigma  in pixels
     * @param  float  $tail  where the Gaussian is truncated, as a share of its maximum
     */
    public static function gaussian(Image $image, float $sigma, float $tail = 0.2): Image
    {
        return $sigma < 0.2 || ! $image->isByte() || self::keepsLevels($sigma, $tail)
            ? self::rough($image, $sigma, $tail)
            : $image->operation('gaussblur', [$sigma], ['min-ampl' => $tail, 'precision' => Precision::Float])->linearByte(1.0);
    }

    /** The same with quick integer weights that may change levels by 3 %: for masks whose extent alone matters. */
    public static function rough(Image $image, float $sigma, float $tail): Image
    {
        return $sigma < 0.2 ? $image : $image->operation('gaussblur', [$sigma], ['min-ampl' => $tail]);
    }

    /** Whether the library's quick 8-bit blur keeps an even picture unchanged: for some sigmas its integer weights add up to 3 % more or less than one. */
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
     * Blurs one 8-bit band by a full Gaussian; edge pixels are repeated beyond the picture. A wide Gaussian leaves no fine detail, so from sigma 4 on it is
     * computed at a fraction of the size. The error is at most 2 levels; at sigmas from 4 to 6 at most 4, depending on how edges lie on the grid of blocks.
     *
     * @param  float  $sigma  in pixels
     * @param  array{int, int}  $at  coordinates of the first pixel on the sheet, by which blocks are aligned: a part with a margin() of pixels around it is equal to the crop of the whole
     */
    public static function wide(Image $image, float $sigma, array $at = [0, 0]): Image
    {
        if ($sigma < 4) {
            return $sigma < 0.2 ? $image : self::exact($image, $sigma)->linearByte(1.0);
        }
        // A Gaussian whose sigma is at least four samples is well approximated by linear interpolation. Odd blocks have a centre pixel.
        $by = self::block($sigma);
        // Align blocks to the sheet's grid, wherever the picture begins.
        [$left, $top] = array_map(fn (int $from): int => $by + ($from % $by + $by) % $by, $at);
        [$across, $down] = [intdiv($left + $image->width(), $by) + 3, intdiv($top + $image->height(), $by) + 3];
        // Three steps blur by themselves, with variances in squared blocks: the mean of a block (1/12), linear interpolation (1/6), and a box that rounds its
        // corners (1/12). Their sum, 1/3, is subtracted from the variance of the Gaussian.
        $rest = sqrt(($sigma / $by) ** 2 - 1 / 3);
        $small = self::exact($image->operation('embed', [$left, $top, $across * $by, $down * $by], ['extend' => Extend::Copy])->shrunk($by), $rest)->settled();
        $middle = intdiv($by, 2);
        $lines = $small->interpolated($by, $across * $by - $by, $down * $by - $by)->crop($left - 2 * $middle, $top - 2 * $middle, $image->width() + 2 * $middle, $image->height() + 2 * $middle);
        $soft = self::averaged($lines, $by)->crop($middle, $middle, $image->width(), $image->height())->linearByte(1.0);
        // Where all surrounding samples are 0, or all 255, the result is known: such parts are not computed.
        [$none, $full] = [$small->isLess(0.49)->settled(), $small->isMore(254.51)->settled()];
        $even = Morphology::worn($none)->either(Morphology::worn($full))->settled();
        $over = fn (Image $samples): Image => $samples->zoomed($by)->crop($left, $top, $image->width(), $image->height());

        return $over($even)->chosen($over($full), $soft);
    }

    /** Blurs by a full Gaussian in floating point. */
    public static function exact(Image $image, float $sigma): Image
    {
        return $image->linear(1.0)->operation('gaussblur', [$sigma], ['min-ampl' => 0.003, 'precision' => Precision::Float]);
    }

    /** The mean of a square of odd side around each pixel. */
    private static function averaged(Image $image, int $side): Image
    {
        $side = max(1, $side);

        return $image->operation('convsep', [Image::of(Vips::matrix([array_fill(0, $side, 1.0 / $side)]))], ['precision' => Precision::Float]);
    }

    /** Pixels beyond a part that its blur depends on. */
    public static function margin(float $sigma): int
    {
        return $sigma < 0.2 ? 0 : (int) ceil(3.5 * $sigma) + 2 * self::block($sigma);
    }

    private static function block(float $sigma): int
    {
        return max(3, 2 * (int) floor(($sigma / 4 - 1) / 2) + 1);
    }

    /**
     * Extends the colours of ink outwards under clear pixels, so that an edge can be moved there: each pixel takes the colour of the nearest ink.
     *
     * @param  float  $pixels  least distance to extend by
     * @param  array{int, int}  $at  coordinates of the first pixel on the sheet
     */
    public static function coloursExtended(Image $image, float $pixels, array $at = [0, 0]): Image
    {
        if ($image->alpha()->range()[0] > 250) {
            return $image;
        }
        // Extended colours need not be sharp: compute them at half the size, or at a quarter for long distances.
        $by = max(2, min(4, (int) round($pixels / 6)));
        [$left, $top] = array_map(fn (int $from): int => ($from % $by + $by) % $by, $at);
        [$across, $down] = [(int) ceil(($left + $image->width()) / $by), (int) ceil(($top + $image->height()) / $by)];
        $small = $image->embed($left, $top, $across * $by, $down * $by)->shrunkInk($by)->settled();
        [$colours, $known] = [$small->band(0, 3), $small->alpha()->isMore(self::SPECK)->settled()];
        // Extend in steps of growing distance, each from what has a colour by then, so that the nearest ink counts and not the ink beyond it.
        for ($sigma = 1.0, $reached = 0.0; $reached * $by < $pixels; $reached += 2 * $sigma, $sigma *= 2) {
            $weight = $known->linear(1 / 255)->settled();
            $near = self::exact($weight, $sigma)->settled();
            $carried = self::exact($colours->multiplied($weight), $sigma)->divided($near->linear(1, 1e-6))->linearByte(1.0);
            $colours = $known->chosen($colours, $carried)->settled();
            $known = $known->either($near->isMore(self::NEAR))->settled();
        }
        $wide = $colours->operation('zoom', [$by, $by])->crop($left, $top, $image->width(), $image->height());

        // Pixels with enough alpha keep their own colour.
        return $image->alpha()->isMore(self::EDGE)->chosen($image->band(0, 3), $wide)->asColours()->withBand($image->alpha());
    }
}
