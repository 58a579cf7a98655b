<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** How much of each pixel an outline covers: one band of 8 bits. */
final class Coverage
{
    /**
     * What is left to be laid behind an outline so that where its edge and another's run through one pixel, it is covered as by the larger of the two:
     * with α under what covers C, C + α (1 - C) is covered; that is S, where α is (S - C) / (1 - C).
     *
     * @param  Image  $all  S, of the outline that is to be laid behind
     * @param  Image  $over  C, of the one before it, as large
     */
    public static function behind(Image $all, Image $over): Image
    {
        $left = $all->minus($over)->divided($over->linear(-1.0, 255.0))->unitToByte();

        return $over->isMore(0.0)->both($over->isLess(255.0))->chosen($left, $all)->settled();
    }
}
