<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Coverage of pixels by outlines: one 8-bit band, 255 for a fully covered pixel. */
final class Coverage
{
    /**
     * The coverage to paint behind an outline so that pixels on both edges end up covered as by the larger outline S. Painting α behind C covers C + α (1 − C);
     * this is S for α = (S − C) / (1 − C).
     *
     * @param  Image  $all  S, coverage of the larger outline, which is painted behind
     * @param  Image  $over  C, coverage of the outline in front, of the same size
     */
    public static function behind(Image $all, Image $over): Image
    {
        $left = $all->minus($over)->divided($over->linear(-1.0, 255.0))->unitToByte();

        return $over->isMore(0.0)->both($over->isLess(255.0))->chosen($left, $all)->settled();
    }
}
