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

    /** Pixels across a hole that is none. */
    private const HOLES = 5;

    private const MOST_REGIONS = 65_000;

    /**
     * @param  Image  $ink  one band, 255 where there is ink
     * @param  Image  $lost  255 where it is lost
     */
    private function __construct(public Image $ink, public Image $lost) {}

    /** @param  Image  $bare  one band, 255 where cloth is seen: bareOf() the picture */
    public static function of(Image $picture, ColourKeys $keys, Garment $garment, Image $bare): self
    {
        $ink = $picture->alpha()->isMore(127.0)->settled();
        $cloth = $garment->colour->toLab();
        $like = $keys->chosen(fn (Srgb $colour, Lab $lab): bool => self::isLike($colour, $lab, $garment->colour, $cloth))->both($ink)->settled();

        if ($like->mean() <= 0.0) {
            return new self($ink, $like);
        }

        return new self($ink, self::exposed($like, $ink->both($like->inverted())->settled(), $bare));
    }

    public static function bareOf(Image $picture): Image
    {
        return self::filled($picture->alpha()->isMore(127.0)->settled())->inverted()->settled();
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

    /** Without the little holes of wear and of screens, which bare no cloth to the eye: closed by a square (Serra, 1982). */
    private static function filled(Image $ink): Image
    {
        return Morphology::worn(Morphology::grown($ink, self::HOLES), self::HOLES)->either($ink)->settled();
    }

    public function share(): float
    {
        $all = $this->ink->area();

        return $all > 0 ? $this->lost->area() / $all : 0.0;
    }

    private static function exposed(Image $like, Image $standing, Image $bare): Image
    {
        [$regions, $count] = Morphology::regions($like);
        if ($count > self::MOST_REGIONS) {
            return $like;
        }
        $numbers = $regions->asNumbers()->settled();
        // Each region's pixels, and those of them that bare cloth or standing ink borders.
        [$sizes, $cloth, $ink] = Histogram::ofMasks([$like, Morphology::grown($bare)->both($like), Morphology::grown($standing)->both($like)], $numbers);
        $table = str_repeat("\0", 65536);
        foreach ($sizes as $number => $size) {
            [$bared, $edged] = [$cloth[$number] ?? 0, $ink[$number] ?? 0];
            // What nothing borders fills the picture, and cloth lies beyond.
            $table[$number] = chr($number > 0 && $size > 0 && ($edged === 0 || $bared > self::BARE * ($bared + $edged)) ? 255 : 0);
        }

        return Lookup::shortsToBytes($numbers, $table)->both($like)->settled();
    }
}
