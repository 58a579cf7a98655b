<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** One solid ink: a mask of 0 and 255, and its colour; null for the picture's own colours. */
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
     * Composes the inks, pixel by pixel.
     *
     * @param  list<self>  $inks  from bottom to top, eight at most
     * @param  Image  $picture  colours for an ink without a colour of its own, which is the only one then
     */
    public static function printed(array $inks, Image $picture): Image
    {
        if ($inks === []) {
            return Image::empty($picture->width(), $picture->height());
        }
        if ($inks[0]->colour === null) {
            return $picture->withAlpha($inks[0]->mask);
        }
        // One bit for each ink of a pixel; the highest is the ink that shows.
        $bits = array_map(fn (self $ink, int $i): Image => $ink->mask->bit($i), $inks, array_keys($inks));
        $shown = array_map(fn (int $value): ?Srgb => $value === 0 ? null : ($inks[strlen(decbin($value)) - 1] ?? null)?->colour, range(0, 255));

        return Lookup::split(array_reduce(array_slice($bits, 1), fn (Image $all, Image $bit): Image => $all->either($bit), $bits[0]), [
            array_map(fn (?Srgb $colour): int => $colour->red ?? 0, $shown),
            array_map(fn (?Srgb $colour): int => $colour->green ?? 0, $shown),
            array_map(fn (?Srgb $colour): int => $colour->blue ?? 0, $shown),
            array_map(fn (?Srgb $colour): int => $colour === null ? 0 : 255, $shown),
        ]);
    }

    /**
     * The same, averaged over blocks of pixels: counts the area of each ink that no other ink hides, and mixes colours by area, so that only masks are
     * computed at
     * print resolution.
     *
     * @param  list<self>  $inks  from bottom to top
     * @param  int  $width  width of the result; then its height
     * @param  \Closure(): Image  $picture  colours at the result's resolution
     */
    public static function averaged(array $inks, int $block, int $width, int $height, \Closure $picture): Image
    {
        $sum = Image::empty($width, $height, 1);
        $colours = Image::empty($width, $height, 3);
        $hiding = null;
        foreach (array_reverse($inks) as $ink) {
            $mask = $ink->mask->settled();
            $seen = $hiding === null ? $mask : $mask->isMore($hiding);
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
