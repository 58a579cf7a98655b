<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;

/** Where one solid ink stands: a band of 0 and 255, and its colour; nothing for the colours of the picture itself. */
final readonly class Dotted
{
    private function __construct(
        public Image $mask,
        public ?Srgb $colour,
    ) {}

    public static function flat(Image $mask, Srgb $colour): self
    {
        return new self($mask, $colour);
    }

    public static function inOwnColours(Image $mask): self
    {
        return new self($mask, null);
    }

    /**
     * The inks over one another, pixel by pixel.
     *
     * @param  list<self>  $inks  the lowest first
     * @param  Image  $picture  the colours of those that have none of their own
     */
    public static function printed(array $inks, Image $picture): Image
    {
        $laid = array_map(
            fn (self $ink): Laid => Laid::over(($ink->colour === null ? $picture->withAlpha($ink->mask) : Image::flat($ink->colour, $ink->mask))->settled(), 0, 0),
            $inks,
        );

        return Composition::stacked($picture->width(), $picture->height(), $laid);
    }

    /**
     * The same, averaged over blocks of pixels. Of each ink what no other hides is counted; so colours are mixed by the areas that they take, and only
     * masks are worked at the print's pixels.
     *
     * @param  list<self>  $inks  the lowest first
     * @param  int  $width  of what is left, and its height
     * @param  \Closure(): Image  $picture  on the pixels that are left
     */
    public static function averaged(array $inks, int $block, int $width, int $height, \Closure $picture): Image
    {
        $sum = Image::empty($width, $height, 1);
        $colours = Image::empty($width, $height, 3);
        $hiding = null;
        foreach (array_reverse($inks) as $ink) {
            $mask = $ink->mask->settled();
            $seen = $hiding === null ? $mask : $mask->both($hiding->inverted());
            $hiding = $hiding === null ? $mask : $hiding->either($mask)->settled();
            $area = $seen->shrunk($block)->settled();
            $sum = $sum->plus($area);
            $colours = $colours->plus($ink->colour === null
                ? $picture()->band(0, 3)->multiplied($area)
                : $area->linearBands([$ink->colour->red, $ink->colour->green, $ink->colour->blue]));
        }

        return $colours->divided($sum)->linearByte(1)->asColours()->withBand($sum->linearByte(1));
    }
}
