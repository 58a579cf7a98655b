<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Placement;
use TallCrow\Asset\Picture;
use TallCrow\Raster\Image;

/** Draws a picture file in its place on the sheet: a raster is resampled, an SVG is rendered at the size that is asked for. */
final class ArtPainter
{
    /** A bent SVG whose outlines cannot be bent themselves is rendered at this many times the resolution, so that resampling keeps its edges crisp. */
    private const FINER = 2;

    /** @param  ?Image  $pixels  of a raster that was retouched */
    /** @param  string  $key  identifies the raster's pixels, so that intermediate results can be cached */
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
