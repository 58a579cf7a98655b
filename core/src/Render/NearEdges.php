<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * A field that tells where ink chips first: near an edge sooner than inside a solid area, and thin strokes of small words no sooner than the rims of large
 * pieces.
 */
final class NearEdges
{
    /** Distance from an ink edge, in inches at scale 1, at which the field has fallen to half. */
    private const CHIP = 0.06;

    /** Radius, in sigmas of the blur, in which the thickest ink is looked for to estimate the width of a stroke. */
    private const ABOUT = 2.0;

    /** Weight of the texture's field against the nearness of an edge. */
    private const BITES = 0.75;

    /**
     * One band: 255 where ink chips first, 0 in the middle of a solid area.
     *
     * @param  float  $scale  scale of the wear
     * @param  Image  $alpha  alpha of the ink in the frame, one band
     * @param  int  $finer  result pixels to a pixel of the frame, each way; the field is smooth, so it is interpolated between the frame's pixels
     */
    public static function of(float $scale, Frame $frame, Image $alpha, int $finer = 1): Image
    {
        $sigma = self::sigma($scale, $frame->ppi);
        $soft = Blur::wide($alpha, $sigma, [$frame->left, $frame->top])->settled();
        // Multiply by the local thickness: otherwise every part of a thin stroke counts as rim, and small words chip away entirely.
        $thick = self::thickest($soft, $sigma, $frame)->settled();

        return ($finer > 1 ? $soft->enlarged($finer) : $soft)->linearByte(-2.0, 510)->times($finer > 1 ? $thick->enlarged($finer) : $thick);
    }

    /** Limits a texture's field by the nearness of an edge: far from any edge nothing chips, whatever share is asked for. */
    public static function bitten(Image $field, Image $near): Image
    {
        return $field->linear(self::BITES / 255, 1 - self::BITES)->multiplied($near)->linearByte(1.0)->settled();
    }

    /** Pixels of ink beyond a window that must be known. */
    public static function margin(float $scale, float $ppi): int
    {
        $sigma = self::sigma($scale, $ppi);

        return Blur::margin($sigma) + self::block($sigma) * (self::radius($sigma) + 2);
    }

    /** The local maximum of the blurred ink, computed in blocks on a grid that is fixed to the sheet. */
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
