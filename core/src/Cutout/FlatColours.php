<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/** Which of a few colours each pixel of a picture is. */
final class FlatColours
{
    /**
     * The number of the colour that each pixel is nearest to, of those that stand about it: on its way from one to another a soft edge passes through
     * others, which are not there.
     *
     * @param  non-empty-list<Srgb>  $colours
     * @param  ?Image  $enlarged  the same picture larger, whose pixels are to be numbered in its place
     * @return Image one band, settled
     */
    public static function numbered(Image $ink, array $colours, ?Image $enlarged = null, int $larger = 1): Image
    {
        $keys = ColourKeys::of($ink);
        $pure = Mixtures::of($ink)->inverted()->both($ink->alpha()->isMore(127.0))->settled();
        $nearest = $keys->mostOf($colours)->settled();
        [$least, $number] = [null, ($enlarged ?? $ink)->alpha()->linearByte(0.0)];
        foreach (($enlarged === null ? $keys : ColourKeys::of($enlarged))->apart($colours) as $i => $far) {
            $stands = Morphology::grown($nearest->isEqual($i)->both($pure)->settled(), 2 * Mixtures::ABOUT + 1)->settled();
            // Behind all that stand about the pixel, and where none does among the others as near as it is.
            $far = ($enlarged === null ? $stands : $stands->zoomed($larger))->chosen($far, $far->linearByte(1.0, 128.0));
            $nearer = $least?->isMore($far)->settled();
            if ($nearer !== null) {
                $number = $nearer->chosen($far->linearByte(0.0, $i), $number)->settled();
                $far = $nearer->chosen($far, $least);
            }
            $least = $far->settled();
        }

        return $number->settled();
    }
}
