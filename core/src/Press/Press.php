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
 * What a house would print, roughly: white laid under all ink of dark cloth and drawn in a little, ink that gains at its edges, lines and gaps that the
 * method does not hold, and the knit of the cloth. Each step by common practice or a published model; none is a proof of one press.
 */
final readonly class Press
{
    /** Relative luminance of cloth below which white is laid under the ink (common practice: mid grey and darker). */
    private const DARK = 0.4;

    /** Inches by which white is drawn in from the ink's edge, so that none peeps out (common practice: 1 to 2 px at 300 ppi). */
    private const CHOKE = 0.0034;

    /** Share of ink from which on white goes under it: a press knows no half white (common practice). */
    private const WHITE_FROM = 0.06;

    /** How white the underbase is over cloth. */
    private const WHITE = 0.94;

    /** Deviation in inches of the bell by which ink spreads, and how much of an edge's half it gains (a Gaussian spread as in the Clapper and Yule family of models). */
    private const SPREAD = 0.0022;

    private const GAIN = 0.06;

    /** Wales and courses of single jersey to the inch (common practice for tees), and how much of the light they take. */
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

    /** Whether white is laid under the ink. */
    public function hasUnderbase(): bool
    {
        return $this->method !== PrintMethod::Sublimation && $this->cloth->luminance() < self::DARK;
    }

    /**
     * The print on its cloth: three bands and full alpha.
     *
     * @param  Image  $art  at the press's ppi
     * @param  array{int, int}  $at  pixels of the sheet at which its corner lies, so that the knit stays in place
     */
    public function printed(Image $art, array $at = [0, 0]): Image
    {
        $alpha = $this->gained($art->alpha());
        $cloth = $this->flat($this->cloth, $art);
        $colours = Blur::coloursExtended($art, 3.0, $at)->band(0, 3);
        $ground = $this->hasUnderbase()
            ? $this->over($this->flat(Srgb::of(255, 255, 255), $art), $cloth, $this->underbase($art->alpha())->linear(self::WHITE / 255))
            : $cloth;
        // Ink and dye are clear: they take of the light of what they lie on, cloth or white, what they take of white.
        $printed = $this->over($colours->multiplied($ground->linear(1 / 255)), $ground, $alpha->linear(1 / 255));
        $knit = $this->knit($art->width(), $art->height(), $at);

        return $printed->multiplied($knit)->linearByte(1.0)->asColours()->withBand(Image::empty($art->width(), $art->height(), 1)->inverted())->settled();
    }

    /** Where white is laid: under all ink, however weak, drawn in from its edge. */
    public function underbase(Image $alpha): Image
    {
        $under = $alpha->isMore(255 * self::WHITE_FROM)->settled();
        $choke = 2 * max(0, (int) round(self::CHOKE * $this->ppi)) + 1;

        return Blur::gaussian(Morphology::worn($under, $choke)->settled(), max(0.3, self::SPREAD * $this->ppi / 2), 0.05);
    }

    /** Ink a little broader than it was asked for; what is finer than it spreads is filled in or lost. */
    private function gained(Image $alpha): Image
    {
        $spread = Blur::gaussian($alpha, self::SPREAD * $this->ppi, 0.02);
        // A press's edge is steeper than the bell, and stands a little further out.
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
     * How much light each place of the knit gives back: columns of loops.
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
