<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Placement;
use TallCrow\Asset\Picture;
use TallCrow\Raster\Image;

/** Draws a picture of the shelf where it lies: a raster resampled, a drawing painted at the size that is asked. */
final class ArtPainter
{
    /** A bent drawing that is more than flat figures is painted this much finer than it is shown, so that resampling leaves its edges crisp. */
    private const FINER = 2;

    /** @param  ?Image  $pixels  of a raster that was retouched */
    /** @param  string  $key  of the raster's pixels, by which what is made of them on the way is known again */
    public static function paint(Picture $picture, Placing $placing, Frame $window, ?Image $pixels = null, string $key = '', Pictures $pictures = new NoPictures): Image
    {
        if (! $picture->isVector()) {
            return RasterPlacer::place($pixels ?? $picture->pixels(), $placing, $window, $key, $pictures);
        }
        if ($placing->bend === null) {
            return SvgPainter::drawing($picture->markup(), $placing, $window);
        }
        $bent = SvgPainter::bent($picture->markup(), $placing, $placing->bend, $window);
        if ($bent !== null) {
            return $bent;
        }
        $ppi = $window->ppi * self::FINER;
        $page = new Frame($ppi, 0, 0, max(1, (int) ceil($placing->pictureWidth * $ppi)), max(1, (int) ceil($placing->pictureHeight * $ppi)));
        $flat = Placing::picture(new Placement($page->width / $ppi / 2, $page->height / $ppi / 2, $page->width / $ppi, $page->height / $ppi, 0, Flip::None), $picture->aspect());

        return RasterPlacer::place(SvgPainter::drawing($picture->markup(), $flat, $page), $placing, $window, finer: self::FINER);
    }
}
