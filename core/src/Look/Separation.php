<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Colour\Srgb;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;

/** A picture taken apart into a few solid inks. */
final class Separation
{
    /** Degrees by which the screens of the inks are turned against one another, so that they make no pattern (common practice). */
    private const APART = 30.0;

    /**
     * With one ink, its strength is how dark the picture is (how light, for a light ink). With more, each place is shared
     * out among the inks that lie nearest to it in colour.
     *
     * @param  list<Srgb>  $inks
     * @param  array{int, int}  $at
     */
    public static function inks(Image $picture, array $inks, float $lpi, float $angle, Dots $dots, float $ppi, array $at): Image
    {
        $alpha = $picture->alpha();
        $laid = [];
        foreach (self::strengths($picture, $inks) as $i => $strength) {
            $screen = new Screen($lpi, $angle + $i * self::APART, $dots);
            $laid[] = Laid::over(Image::flat($inks[$i], $screen->cut($strength->times($alpha), $ppi, $at))->settled(), 0, 0);
        }

        return Composition::stacked($picture->width(), $picture->height(), $laid);
    }

    /**
     * @param  list<Srgb>  $inks
     * @return list<Image>
     */
    private static function strengths(Image $picture, array $inks): array
    {
        if (count($inks) === 1) {
            $light = ColourBands::luminance(Composition::onCloth($picture, Srgb::of(128, 128, 128)));

            return [$inks[0]->luminance() > 0.35 ? $light : $light->inverted()];
        }
        // Nearness falls with the squared distance, so that a place of an ink's own colour is that ink alone.
        $near = array_map(fn (Srgb $ink): Image => ColourBands::distanceTo($picture, $ink)->linear(1, 40)->raised(-2.0)->settled(), $inks);
        $sum = array_reduce(array_slice($near, 1), fn (Image $all, Image $one): Image => $all->plus($one), $near[0])->settled();

        return array_map(fn (Image $one): Image => $one->divided($sum)->unitToByte()->settled(), $near);
    }
}
