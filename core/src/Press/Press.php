<?php

declare(strict_types=1);

namespace TallCrow\Press;

use TallCrow\Artwork\PrintMethod;
use TallCrow\Colour\Srgb;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Grating;
use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;

/**
 * A rough simulation of a press: a choked white underbase on dark cloth, dot gain at edges, lines and gaps that are too fine for the method, and the knit of
 * the cloth. Each step follows common practice or a published model; it is not a contract proof.
 */
final readonly class Press
{
    /** Cloth of less relative luminance than this gets a white underbase (common practice: mid grey and darker). */
    private const DARK = 0.4;

    /** Choke: inches by which the underbase is smaller than the ink, so that no white shows (common practice: 1 to 2 px at 300 ppi). */
    private const CHOKE = 0.0034;

    /** Ink of at least this alpha gets full white under it: a press cannot print half white (common practice). */
    private const WHITE_FROM = 0.06;

    /** Opacity of the underbase. */
    private const WHITE = 0.94;

    /**
     * Standard deviation, in inches, of the Gaussian spread of ink, and the gain at an edge as a share of coverage (as in the Clapper and Yule family of
     * models).
     */
    private const SPREAD = 0.0022;

    private const GAIN = 0.06;

    /** Wales and courses per inch of single jersey (common practice for tees), and the light that the knit absorbs. */
    private const WALES = 32.0;

    private const KNIT = 0.09;

    private function __construct(
        private PrintMethod $method,
        private Srgb $cloth,
        private float $ppi,
    ) {}

    public static function of(PrintMethod $method, Srgb $cloth, float $ppi): self
    {
        return new self($method, $cloth, $ppi);
    }

    /** Whether the cloth gets a white underbase. */
    public function hasUnderbase(): bool
    {
        return $this->method !== PrintMethod::Sublimation && $this->cloth->luminance() < self::DARK;
    }

    /**
     * The print on its cloth: three bands and full alpha.
     *
     * @param  Image  $art  the print at the press's ppi
     * @param  array{int, int}  $at  sheet coordinates of the first pixel, so that the knit stays in place
     */
    public function printed(Image $art, array $at = [0, 0]): Image
    {
        $alpha = $this->gained($art->alpha());
        $cloth = $this->flat($this->cloth, $art);
        $colours = Blur::coloursExtended($art, 3.0, $at)->band(0, 3);
        $ground = $this->hasUnderbase()
            ? $this->over($this->flat(Srgb::of(255, 255, 255), $art), $cloth, $this->underbase($art->alpha())->linear(self::WHITE / 255))
            : $cloth;
        // Inks are transparent: they multiply the light of the ground, cloth or white.
        $printed = $this->over($colours->multiplied($ground->linear(1 / 255)), $ground, $alpha->linear(1 / 255));
        $knit = $this->knit($art->width(), $art->height(), $at);

        return $printed->multiplied($knit)->linearByte(1.0)->asColours()->withBand(Image::empty($art->width(), $art->height(), 1)->inverted())->settled();
    }

    /** The mask of the underbase: under all ink, however weak, choked. */
    public function underbase(Image $alpha): Image
    {
        $under = $alpha->isMore(255 * self::WHITE_FROM)->settled();
        $choke = 2 * max(0, (int) round(self::CHOKE * $this->ppi)) + 1;

        return Blur::gaussian(Morphology::worn($under, $choke)->settled(), max(0.3, self::SPREAD * $this->ppi / 2), 0.05);
    }

    /** Ink after spreading: a little wider, with fine gaps filled in and fine lines lost. */
    private function gained(Image $alpha): Image
    {
        $spread = Blur::gaussian($alpha, self::SPREAD * $this->ppi, 0.02);
        // A printed edge is steeper than the Gaussian and lies a little further out.
        $edge = $spread->linearByte(2.2, 255 * (0.5 + self::GAIN) - 2.2 * 127.5);

        return $alpha->isMore(250.0)->both($edge->isMore(250.0))->chosen($alpha, $edge)->settled();
    }

    private function flat(Srgb $colour, Image $as): Image
    {
        return Image::flat($colour, $as->alpha())->band(0, 3)->linear(1.0);
    }

    private function over(Image $above, Image $below, Image $share): Image
    {
        return $above->multiplied($share)->plus($below->multiplied($share->linear(-1.0, 1.0)));
    }

    /**
     * Reflectance of the knit: columns of loops.
     *
     * @param  array{int, int}  $at
     */
    private function knit(int $width, int $height, array $at): Image
    {
        $loops = Grating::crossed($width, $height, $at, self::WALES / $this->ppi, 0.0, 0.5, 0.0)
            ->plus(Grating::crossed($width, $height, $at, self::WALES * 1.3 / $this->ppi, 0.0, 0.0, 0.3))
            ->plus(Grating::crossed($width, $height, $at, self::WALES / $this->ppi, 45.0, 0.2, 0.2));

        return $loops->linear(self::KNIT / 2, 1 - self::KNIT / 2);
    }
}
