<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/** How soon ink chips by where it lies: near an edge sooner than within a solid, and the thin strokes of small words later than the rim of what is large. */
final class NearEdges
{
    /** Inches from the edge of ink at which it chips half as soon, at a scale of 1. */
    private const CHIP = 0.06;

    /** Of the blur's sigmas, how far about a place the thickest ink says how thick its stroke is. */
    private const ABOUT = 2.0;

    /** How much the field says about where it chips, beside how near the edge is. */
    private const BITES = 0.75;

    /**
     * 255 where ink chips first, none in the middle of a solid.
     *
     * @param  float  $scale  of the wear
     * @param  Image  $alpha  of the ink in the frame, one band
     * @param  int  $finer  pixels of what comes back to one of the frame's: it has no part as fine as a pixel, so it runs straight between them
     */
    public static function of(float $scale, Frame $frame, Image $alpha, int $finer = 1): Image
    {
        $sigma = self::sigma($scale, $frame->ppi);
        $soft = Blur::wide($alpha, $sigma, [$frame->left, $frame->top])->settled();
        // Times the thickness: all of a thin stroke is as near an edge as the rim of a solid, and would go with it, words and all.
        $thick = self::thickest($soft, $sigma, $frame)->settled();

        return ($finer > 1 ? $soft->enlarged($finer) : $soft)->linearByte(-2.0, 510)->times($finer > 1 ? $thick->enlarged($finer) : $thick);
    }

    /** A field of wear where no edge is near chips nothing, however much is asked for. */
    public static function bitten(Image $field, Image $near): Image
    {
        return $field->linear(self::BITES / 255, 1 - self::BITES)->multiplied($near)->linearByte(1.0)->settled();
    }

    /** Pixels of ink about a window that it needs to know. */
    public static function margin(float $scale, float $ppi): int
    {
        $sigma = self::sigma($scale, $ppi);

        return Blur::margin($sigma) + self::block($sigma) * (self::radius($sigma) + 2);
    }

    /** The most that the blurred ink comes to about each place, worked in blocks on a grid of the sheet. */
    private static function thickest(Image $soft, float $sigma, Frame $frame): Image
    {
        $by = self::block($sigma);
        [$left, $top] = array_map(fn (int $from): int => ($from % $by + $by) % $by, [$frame->left, $frame->top]);
        [$across, $down] = [(int) ceil(($left + $frame->width) / $by), (int) ceil(($top + $frame->height) / $by)];
        $most = Morphology::dilated($soft->spread($left, $top, $across * $by, $down * $by)->shrunk($by)->settled(), 2 * self::radius($sigma) + 1)->settled();

        return ($by > 1 ? $most->enlarged($by) : $most)->crop($left, $top, $frame->width, $frame->height);
    }

    private static function radius(float $sigma): int
    {
        return max(1, (int) ceil(self::ABOUT * $sigma / self::block($sigma)));
    }

    private static function block(float $sigma): int
    {
        return max(1, (int) round($sigma / 2));
    }

    private static function sigma(float $scale, float $ppi): float
    {
        return max(0.3, self::CHIP * $scale * $ppi);
    }
}
