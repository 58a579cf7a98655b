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
 * What of a picture's ink stands out from a cloth and what is lost on it. Ink of the cloth's own lightness and colour reads all the same where it is
 * enclosed or edged by ink that stands out: the white of a bird within its dark line, black spots in a fur.
 */
final readonly class Standing
{
    /** Contrast ratio of WCAG 2.2 below which lightness does not carry the ink (its least for graphics, 3, is for screens and small signs; our choice for shirts). */
    public const CONTRAST = 1.45;

    /** CIEDE2000 from which on colour carries it though lightness does not (our choice). */
    public const DIFFERENCE = 22.0;

    /** Of two colours that are both dark, hues hardly tell at arm's length: relative luminance up to which that is so, and what then is asked. */
    private const DARK = 0.07;

    private const DIFFERENCE_DARK = 50.0;

    private const CONTRAST_DARK = 1.65;

    /** Lightness apart from which on contrast is always enough. */
    private const APART = 40.0;

    /** CIEDE2000 below which the ink is the cloth's own colour to the eye, however light both are. */
    private const SAME = 6.0;

    /** A part is lost when more than this share of its border is bare cloth. */
    private const BARE = 0.3;

    /** Pixels of cloth between ink and a ring about it that edges it all the same: a twelfth of an inch. */
    private const GAP = 4;

    private const MOST_REGIONS = 65_000;

    /**
     * @param  Image  $ink  one band, 255 where there is ink
     * @param  Image  $lost  255 where it is lost
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
        // Far lighter or darker: no need for more.
        if (abs($inkLab->l - $clothLab->l) > self::APART) {
            return false;
        }
        // Nor where the contrast is more than is asked of any two: no such pair is the same to the eye.
        [$inkLight, $clothLight] = [self::light($inkLab), self::light($clothLab)];
        if (max($inkLight, $clothLight) >= self::CONTRAST_DARK * min($inkLight, $clothLight)) {
            return false;
        }
        $difference = $inkLab->difference($clothLab);
        [$enough, $contrast] = max($ink->luminance(), $cloth->luminance()) < self::DARK ? [self::DIFFERENCE_DARK, self::CONTRAST_DARK] : [self::DIFFERENCE, self::CONTRAST];

        return $difference < self::SAME || ($difference < $enough && Contrast::ratio($ink, $cloth) < $contrast);
    }

    /** Relative luminance with the flare that WCAG 2.2 adds to both sides of a contrast ratio; CIE L* is a function of the first alone. */
    private static function light(Lab $lab): float
    {
        return ($lab->l > 8.0 ? (($lab->l + 16) / 116) ** 3 : $lab->l * 27 / 24389) + 0.05;
    }

    /** This one, but another where a mask shows. */
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
        // Of each region's pixels, those that bare cloth borders and those that standing ink does, close by or beyond a gap.
        $standing = $seen->ink->both($like->inverted())->settled();
        $border = $like->both(Morphology::worn($like)->inverted())->settled();
        $edged = Morphology::grown($standing, 2 * self::GAP + 1)->both($border)->settled();
        [$cloth, $ink] = Histogram::ofMasks([$seen->beside->both($border)->both($edged->inverted()), $edged], $numbers);
        // What nothing borders fills the picture, and cloth lies beyond.
        $table = str_repeat("\xff", 65536);
        foreach ($ink as $number => $edged) {
            if ($edged > 0 && $cloth[$number] <= self::BARE * ($cloth[$number] + $edged)) {
                $table[$number] = "\0";
            }
        }

        return Lookup::shortsToBytes($numbers, $table)->both($like)->settled();
    }
}
