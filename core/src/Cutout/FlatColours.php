<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/** Which of a few colours each pixel of a picture is. */
final class FlatColours
{
    /** Levels of 127 between the nearest colour and the next within which a little grain decides which is nearer, and a good deal of it. */
    private const CLOSE = 3.0;

    private const UNSURE = 10.0;

    /** Share of close pixels from which on a picture is no flat art: that has 1 % of them as a JPEG, photos have 6 % and more (by trial). */
    private const PHOTO = 0.03;

    /**
     * The number of the colour that each pixel is nearest to, of those that stand about it: on its way from one to another a soft edge passes through
     * others, which are not there.
     *
     * @param  non-empty-list<Srgb>  $colours
     * @param  ?Image  $enlarged  the same picture larger, whose pixels are to be numbered in its place
     * @param  int  $smooth  odd: of a photo a pixel that is hardly nearer to one colour than to another becomes the most common of a square of so many
     * @return Image one band, settled
     */
    public static function numbered(Image $ink, array $colours, ?Image $enlarged = null, int $larger = 1, int $smooth = 1): Image
    {
        $keys = ColourKeys::of($ink);
        $pure = Mixtures::of($ink)->inverted()->both($ink->alpha()->isMore(127.0))->settled();
        $nearest = $keys->mostOf($colours)->settled();
        [$least, $second, $number] = [null, null, ($enlarged ?? $ink)->alpha()->linearByte(0.0)];
        foreach (($enlarged === null ? $keys : ColourKeys::of($enlarged))->apart($colours) as $i => $far) {
            $stands = Morphology::grown($nearest->isEqual($i)->both($pure)->settled(), 2 * Mixtures::ABOUT + 1)->settled();
            // Behind all that stand about the pixel, and where none does among the others as near as it is.
            $far = ($enlarged === null ? $stands : $stands->zoomed($larger))->chosen($far, $far->linearByte(1.0, 128.0));
            $nearer = $least?->isMore($far)->settled();
            if ($nearer !== null && $smooth > 1) {
                $next = $nearer->chosen($least, $far);
                $second = ($second?->lesser($next) ?? $next)->settled();
            }
            if ($nearer !== null) {
                $number = $nearer->chosen($far->linearByte(0.0, $i), $number)->settled();
                $far = $nearer->chosen($far, $least);
            }
            $least = $far->settled();
        }

        $number = $number->settled();
        if ($second === null) {
            return $number;
        }
        $apart = $second->minus($least)->settled();

        // What was drawn flat is as it is.
        return $apart->isLess(self::CLOSE)->mean() / 255 < self::PHOTO ? $number : $apart->isLess(self::UNSURE)->chosen(Morphology::commonest($number, $smooth, count($colours)), $number)->settled();
    }
}
