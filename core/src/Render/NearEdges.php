<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Extend;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;
use TallCrow\Raster\Precision;
use TallCrow\Raster\Vips;

/**
 * A field that tells where ink chips first: near an edge sooner than inside a solid area, and thin strokes of small words no sooner than the rims of large
 * pieces.
 */
final readonly class NearEdges
{
    /** Distance from an ink edge, in inches at scale 1, at which the field has fallen to half. */
    private const CHIP = 0.06;

    /** Radius, in sigmas of the blur, in which the thickest ink is looked for to estimate the width of a stroke. */
    private const ABOUT = 2.0;

    /** Samples to an inch at scale 1 and above: the same grid for the print and most proofs. */
    private const SAMPLES = 50.0;

    /** Pixels of a frame that make a whole number of the print's, at most: five for a sheet of 250 ppi. */
    private const MOST_PARTS = 5;

    /** Samples around a picture that the spline reads. */
    private const AROUND = 2;

    /** Weight of the texture's field against the nearness of an edge. */
    private const BITES = 0.75;

    /**
     * One band: 255 where ink chips first, 0 in the middle of a solid area. The ink is averaged to blocks of about 0.02 in, blurred there, and drawn out to
     * the pixels asked for by a quadratic B-spline, so that a proof and a print find the same edges.
     *
     * @param  float  $scale  scale of the wear
     * @param  Image  $alpha  alpha of the ink in the frame, one band
     * @param  ?Frame  $at  the pixels asked for, within the frame; the frame's own unless given
     */
    public static function of(float $scale, Frame $frame, Image $alpha, ?Frame $at = null): Image
    {
        $at ??= $frame;
        $sigma = self::sigma($scale, $frame->ppi);
        $by = self::block($scale, $frame->ppi, $at->ppi / $frame->ppi);
        $times = (int) round($by * $at->ppi / $frame->ppi);
        // The last doubling is linear.
        $spline = $times % 2 === 0 ? intdiv($times, 2) : $times;
        // Align blocks to the sheet's grid, wherever the picture begins, with two more on each side for the spline.
        [$left, $top] = array_map(fn (int $from): int => self::AROUND * $by + ($from % $by + $by) % $by, [$frame->left, $frame->top]);
        [$across, $down] = [intdiv($left + $frame->width, $by) + self::AROUND + 1, intdiv($top + $frame->height, $by) + self::AROUND + 1];
        $samples = $alpha->operation('embed', [$left, $top, $across * $by, $down * $by], ['extend' => Extend::Copy])->shrunk($by)->settled();
        // The mean of a block blurs by itself: its variance, in squared blocks, is subtracted.
        $variance = ($sigma / $by) ** 2 - 1 / 12;
        // Multiply by the local thickness: otherwise every part of a thin stroke counts as rim, and small words chip away entirely.
        $thick = self::drawnOut(self::thickest(self::blurred($samples, $variance, 1)->settled(), $sigma / $by), $spline)->linearByte(1.0);
        $near = self::blurred($samples, $variance, $spline)->linearByte(-2.0, 510)->times($thick)->settled();

        return self::doubled($near, intdiv($times, $spline))->crop(
            $at->left - intdiv($frame->left - $left, $by) * $times, $at->top - intdiv($frame->top - $top, $by) * $times, $at->width, $at->height,
        );
    }

    /** Drawn out to twice the size by straight lines, in quick integers: within a level. */
    private static function doubled(Image $near, int $times): Image
    {
        return $times < 2 ? $near : $near->zoomed(2)->operation('convsep', [Image::of(Vips::matrix([[0.25, 0.5, 0.25]]))], ['precision' => Precision::Integer]);
    }

    /** Samples blurred by a variance in squared samples, drawn out to so many pixels each. */
    private static function blurred(Image $samples, float $variance, int $by): Image
    {
        // The three boxes that a spline consists of blur by themselves.
        return self::drawnOut(Blur::exact($samples, sqrt(max(0.01, $variance - (1 - 1 / $by ** 2) / 4)))->settled(), $by);
    }

    /** Samples drawn out by a quadratic B-spline in floating point: so many pixels to each, averaged twice over a sample's width. */
    private static function drawnOut(Image $samples, int $by): Image
    {
        $triangle = array_map(fn (int $i): float => ($by - abs($i)) / $by ** 2, range(1 - $by, $by - 1));

        return $by <= 1 ? $samples : $samples->zoomed($by)->operation('convsep', [Image::of(Vips::matrix([$triangle]))], ['precision' => Precision::Float]);
    }

    /** The largest values of the blurred ink about each sample, within so many sigmas. */
    private static function thickest(Image $soft, float $sigma): Image
    {
        $radius = self::ABOUT * $sigma;
        $within = (int) floor($radius);
        $share = $radius - $within;
        $soft = $soft->linearByte(1.0)->settled();
        $less = Morphology::dilated($soft, 2 * $within + 1);

        return ($share < 0.01 ? $less : $less->linear(1 - $share)->plus(Morphology::dilated($soft, 2 * $within + 3)->linear($share))->linearByte(1.0))->settled();
    }

    /** Limits a texture's field by the nearness of an edge: far from any edge nothing chips, whatever share is asked for. */
    public static function bitten(Image $field, Image $near): Image
    {
        return Lookup::bytes($field, array_map(fn (int $level): int => (int) round(255 * (1 - self::BITES) + $level * self::BITES), range(0, 255)))->times($near);
    }

    /** Pixels of ink beyond a window that must be known. */
    public static function margin(float $scale, float $ppi): int
    {
        $sigma = self::sigma($scale, $ppi);

        return (int) ceil((3.5 + self::ABOUT) * $sigma) + (self::AROUND + 3) * max(self::MOST_PARTS, self::block($scale, $ppi, 1.0));
    }

    /** Frame pixels, each way, to a sample: at least three samples to a sigma where there are so many pixels, each a whole number of the pixels asked for. */
    private static function block(float $scale, float $ppi, float $finer): int
    {
        $most = max(1, (int) floor($ppi / (self::SAMPLES * max(1.0, ceil(1 / $scale - 1e-6))) + 1e-6));
        $whole = array_values(array_filter([...range($most, 1), ...range($most, self::MOST_PARTS)], fn (int $by): bool => abs($by * $finer - round($by * $finer)) < 1e-6));
        // An odd number of them takes three times as long.
        $even = $finer <= 1 || $scale < 1 ? [] : array_values(array_filter($whole, fn (int $by): bool => fmod(round($by * $finer), 2) === 0.0));

        return $even[0] ?? $whole[0] ?? 1;
    }

    private static function sigma(float $scale, float $ppi): float
    {
        return max(0.3, self::CHIP * $scale * $ppi);
    }
}
