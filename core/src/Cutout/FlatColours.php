<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/** Assigns each pixel of a picture to one of a few colours. */
final class FlatColours
{
    /**
     * If the distances (0 to 127) to the nearest two colours differ by less than this, a little grain decides which is nearer; by less than UNSURE, strong
     * grain does.
     */
    private const CLOSE = 3.0;

    private const UNSURE = 10.0;

    /** From this share of CLOSE pixels on, a picture is not flat art: flat art as JPEG has 1 % of them, photos 6 % and more (found by trial). */
    private const PHOTO = 0.03;

    /**
     * The index of the nearest colour for each pixel, considering only colours that occur around it: a soft edge between two colours passes near others, which
     * are not there.
     *
     * @param  non-empty-list<Srgb>  $colours
     * @param  ?Image  $enlarged  the same picture enlarged, whose pixels are numbered instead
     * @param  int  $smooth  odd side of a square: in a photo, pixels that are hardly nearer to one colour than to another take the most common one of this square
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
            // Rank colours that do not occur nearby behind all that do; if none does, by distance alone.
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

        // Flat art needs no smoothing.
        return $apart->isLess(self::CLOSE)->mean() / 255 < self::PHOTO ? $number : $apart->isLess(self::UNSURE)->chosen(Morphology::commonest($number, $smooth, count($colours)), $number)->settled();
    }
}
