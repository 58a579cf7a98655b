<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Geometry\Affine;
use TallCrow\Raster\Blur;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\Morphology;

/**
 * Converts a raster to flat shapes of a few colours, each traced by potrace, which can be recoloured, ringed and printed at any size.
 *
 * A small picture is enlarged first, so that the grey pixels of its edges determine the subpixel position of the outline.
 */
final class Tracing
{
    /** Longer side, in pixels, at which a picture is traced; smaller pictures are enlarged to about this, by at most LARGER times. */
    private const MOST_SIDE = 3000;

    private const LARGER = 4;

    /** Side, in pixels, of the mode filter against grain, for a photo that is not enlarged. */
    private const SMOOTH = 7;

    /** Longer side, in pixels, of the repainted result, at most. */
    private const PAINTED = 6000;

    public static function svg(Image $ink, int $count): string
    {
        [$width, $height] = [$ink->width(), $ink->height()];
        [$small, $larger] = self::sized($ink);
        $ink = $larger > 1 ? self::enlarged($small, $larger) : $small;
        // In pixels of the original picture.
        $back = Affine::scale($width / $ink->width(), $height / $ink->height());
        $colours = array_map(fn (Swatch $bucket): Srgb => $bucket->colour, Background::buckets($small, $count));
        // From dark to light: lighter colours are painted over darker ones.
        usort($colours, fn (Srgb $one, Srgb $other): int => $one->luminance() <=> $other->luminance());
        $solid = $ink->alpha()->isMore(127.0)->settled();
        $marks = '';
        if ($colours !== []) {
            $nearest = FlatColours::numbered($small, $colours, $larger > 1 ? $ink : null, $larger, $larger > 1 ? 1 : self::SMOOTH);
            $nearest = ($larger > 1 && count($colours) > 2 ? Morphology::commonest($nearest, min(Morphology::MOST_SIDE, $larger | 1), count($colours)) : $nearest)->settled();
            // Each shape also covers the area of all later ones, so that no gap opens between two colours.
            $paths = Tracer::outlines(array_map(fn (int $i): Image => $nearest->isMore($i - 0.5)->both($solid), array_keys($colours)));
            foreach ($paths as $i => $path) {
                $marks .= $path->isEmpty() ? '' : sprintf('<path fill="%s" %s/>', $colours[$i]->toHex(), $path->attributes($back));
            }
        }

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d">%s</svg>', $width, $height, $marks);
    }

    /** The enlargement factor for painting a traced picture that is placed with so many of its pixels per inch. */
    public static function factor(int $width, int $height, float $perInch, float $ppi): int
    {
        return max(1, min((int) ceil($ppi / max(1.0, $perInch)), intdiv(self::PAINTED, max(1, $width, $height))));
    }

    /** The traced shapes rendered as pixels, enlarged by a factor. */
    public static function painted(Image $ink, int $count, int $factor): Image
    {
        [$width, $height] = [$ink->width() * $factor, $ink->height() * $factor];
        $svg = str_replace('<svg ', sprintf('<svg width="%d" height="%d" preserveAspectRatio="none" ', $width, $height), self::svg($ink, $count));
        $drawn = ImageFile::drawing($svg);

        return $drawn->bands() === 4 ? $drawn->embed(0, 0, $width, $height)->settled() : Image::empty($width, $height);
    }

    /** @return array{Image, int} the picture reduced to MOST_SIDE, and the factor by which to enlarge it */
    private static function sized(Image $ink): array
    {
        $side = max($ink->width(), $ink->height());

        return [($side > self::MOST_SIDE ? $ink->resized(self::MOST_SIDE / $side) : EdgeCare::withoutFringe($ink, 1.0))->settled(), max(1, min(self::LARGER, intdiv(self::MOST_SIDE, $side)))];
    }

    /** Enlarges by repeating pixels and blurring by a Gaussian of half a pixel's side: the level of one half marks the edge. */
    private static function enlarged(Image $ink, int $by): Image
    {
        $smooth = fn (Image $bands): Image => Blur::gaussian($bands->spread(2, 2, $ink->width() + 4, $ink->height() + 4)->zoomed($by), $by / 2, 0.02)
            ->crop(2 * $by, 2 * $by, $ink->width() * $by, $ink->height() * $by)->settled();

        return $smooth($ink->band(0, 3))->asColours()->withBand($smooth($ink->alpha()));
    }
}
