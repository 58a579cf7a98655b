<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Garment;
use TallCrow\Colour\Contrast;
use TallCrow\Colour\Lab;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;

/**
 * Which ink of a picture stands out from a cloth, and which is lost on it. Ink similar to the cloth still reads if it is enclosed or edged by ink that stands
 * out: the white of a bird within a dark outline, black spots in a fur.
 */
final readonly class Standing
{
    /**
     * WCAG 2.2 contrast ratio below which lightness alone does not make ink stand out (our choice for shirts; WCAG's 3 for graphics is meant for screens and
     * small signs).
     */
    public const CONTRAST = 1.45;

    /** CIEDE2000 from which on colour makes ink stand out without a difference in lightness (our choice). */
    public const DIFFERENCE = 22.0;

    /** Between two dark colours hue is hardly visible at arm's length: the relative luminance up to which this applies, and the stricter limits for it. */
    private const DARK = 0.07;

    private const DIFFERENCE_DARK = 50.0;

    private const CONTRAST_DARK = 1.65;

    /** Difference of L* from which on contrast is always sufficient. */
    private const APART = 40.0;

    /** CIEDE2000 below which ink looks the same as the cloth, whatever the contrast ratio. */
    private const SAME = 6.0;

    /** A region is lost if more than this share of its border is bare cloth. */
    private const BARE = 0.3;

    /** Widest gap, in pixels, between ink and a ring that still edges it: a twelfth of an inch. */
    private const GAP = 4;

    private const MOST_REGIONS = 65_000;

    /**
     * @param  Image  $ink  mask of ink
     * @param  Image  $lost  mask of ink that is lost
     */
    private function __construct(public Image $ink, public Image $lost) {}

    public static function of(InkAndCloth $seen, ColourKeys $keys, Garment $garment): self
    {
        $cloth = $garment->colour->toLab();
        $like = $keys->chosen(fn (Srgb $colour, Lab $lab): bool => self::isLike($colour, $lab, $garment->colour, $cloth))->both($seen->ink)->settled();

        return new self($seen->ink, $like->mean() <= 0.0 ? $like : self::exposed($like, $seen));
    }

    public static function isLost(Srgb $ink, Srgb $cloth): bool
    {
        return self::isLike($ink, $ink->toLab(), $cloth, $cloth->toLab());
    }

    private static function isLike(Srgb $ink, Lab $inkLab, Srgb $cloth, Lab $clothLab): bool
    {
        // Far lighter or darker: no further test needed.
        if (abs($inkLab->l - $clothLab->l) > self::APART) {
            return false;
        }
        // Enough contrast for any pair: no such pair looks the same.
        $ratio = Contrast::ratio($ink, $cloth);
        if ($ratio >= self::CONTRAST_DARK) {
            return false;
        }
        $difference = $inkLab->difference($clothLab);
        [$enough, $contrast] = max($ink->luminance(), $cloth->luminance()) < self::DARK ? [self::DIFFERENCE_DARK, self::CONTRAST_DARK] : [self::DIFFERENCE, self::CONTRAST];

        return $difference < self::SAME || ($difference < $enough && $ratio < $contrast);
    }

    /** This result, replaced by another one within a mask. */
    public function within(Image $mask, self $other): self
    {
        return new self($mask->chosen($other->ink, $this->ink)->settled(), $mask->chosen($other->lost, $this->lost)->settled());
    }

    public function share(): float
    {
        $all = $this->ink->area();

        return $all > 0 ? $this->lost->area() / $all : 0.0;
    }

    private static function exposed(Image $like, InkAndCloth $seen): Image
    {
        [$regions, $count] = Morphology::regions($like);
        if ($count > self::MOST_REGIONS) {
            return $like;
        }
        $numbers = $regions->asNumbers()->settled();
        // For each region, count border pixels next to bare cloth, and those next to ink that stands out (directly or beyond a gap).
        $standing = $seen->ink->both($like->inverted())->settled();
        $border = $like->both(Morphology::worn($like)->inverted())->settled();
        $edged = Morphology::grown($standing, 2 * self::GAP + 1)->both($border)->settled();
        [$cloth, $ink] = Histogram::ofMasks([$seen->beside->both($border)->both($edged->inverted()), $edged], $numbers);
        // A region without any border fills the picture: cloth lies beyond it.
        $table = str_repeat("\xff", 65536);
        foreach ($ink as $number => $edged) {
            if ($edged > 0 && $cloth[$number] <= self::BARE * ($cloth[$number] + $edged)) {
                $table[$number] = "\0";
            }
        }

        return Lookup::shortsToBytes($numbers, $table)->both($like)->settled();
    }
}
