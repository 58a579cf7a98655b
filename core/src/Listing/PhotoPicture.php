<?php

declare(strict_types=1);

namespace TallCrow\Listing;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;
use TallCrow\Raster\Sampling;

/**
 * Composites a design onto a photo of a garment. The photo's brightness serves as height map and as light: its slope displaces the art, and the ratio
 * to the mean brightness around shades it (displacement mapping, common practice).
 */
final class PhotoPicture
{
    /** Blur radii as fractions of the photo's width: before taking the slope, and for the mean brightness around. */
    private const BEND_BLUR = 0.004;

    private const EVEN_BLUR = 0.1;

    /** Displacement of the art per slope of one level per pixel, as a fraction of the photo's width. */
    private const BEND = 0.0022;

    /** Least and greatest factor of the shading. */
    private const SHADE = [0.45, 1.35];

    /**
     * @param  Image  $photo  sRGB with alpha
     * @param  Image  $art  the whole print area, transparent
     * @return Image as large as the photo
     */
    public static function draw(Image $photo, Image $art, PhotoPlace $place): Image
    {
        [$width, $height] = [$photo->width(), $photo->height()];
        $colours = $photo->band(0, 3)->linear(1.0);
        $light = $colours->band(0)->linear(0.2126)->plus($colours->band(1)->linear(0.7152))->plus($colours->band(2)->linear(0.0722))->settled();
        $soft = Blur::gaussian($light, max(1.0, self::BEND_BLUR * $width))->settled();
        $even = Blur::gaussian($light, max(2.0, self::EVEN_BLUR * $width))->settled();
        $bend = $place->folds * self::BEND * $width;
        $places = Sampling::places($width, $height);
        $moved = $places->plus(self::slope($soft, 1, 0)->withBand(self::slope($soft, 0, 1))->linear($bend))->settled();
        $laid = $art->drawnFrom(self::mapped($moved, $place->toPicture($art->width(), $art->height())));
        $shade = $soft->linear(1.0, 1.0)->divided($even->linear(1.0, 1.0))->linear($place->folds, 1 - $place->folds);
        $shade = $shade->lesser(self::level($width, $height, self::SHADE[1]))->lighter(self::level($width, $height, self::SHADE[0]));
        $lit = $laid->band(0, 3)->linear(1.0)->multiplied($shade)->linear(1 / 255)->unitToByte()->asColours()->withBand($laid->alpha());

        return Composition::stacked($width, $height, [Laid::over($photo, 0, 0), Laid::over($lit, 0, 0)])->settled();
    }

    /**
     * @param  Image  $places  two bands
     * @param  array{float, float, float, float, float, float, float, float}  $m
     */
    private static function mapped(Image $places, array $m): Image
    {
        [$x, $y] = [$places->band(0)->linear(1.0), $places->band(1)->linear(1.0)];
        $below = $x->linear($m[6])->plus($y->linear($m[7], 1.0))->settled();
        $axis = fn (float $across, float $down, float $shift): Image => $x->linear($across)->plus($y->linear($down, $shift))->divided($below);

        return $axis($m[0], $m[1], $m[2])->withBand($axis($m[3], $m[4], $m[5]));
    }

    private static function slope(Image $height, int $x, int $y): Image
    {
        $wide = $height->spread(1, 1, $height->width() + 2, $height->height() + 2);

        return $wide->crop(1 + $x, 1 + $y, $height->width(), $height->height())->minus($wide->crop(1 - $x, 1 - $y, $height->width(), $height->height()))->linear(0.5);
    }

    private static function level(int $width, int $height, float $value): Image
    {
        return Image::empty($width, $height, 1)->linear(1.0, $value);
    }
}
