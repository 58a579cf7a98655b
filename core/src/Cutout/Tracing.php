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
 * A raster of few colours as flat shapes with smooth edges, each colour traced by potrace: it can be recoloured, ringed and printed at any size.
 *
 * A small picture is first drawn larger, so that the grey pixels of its edges say where between two pixels the edge runs.
 */
final class Tracing
{
    /** A picture is traced at this many pixels on its longer side at most; a smaller one is enlarged to about as many, up to LARGER times. */
    private const MOST_SIDE = 3000;

    private const LARGER = 4;

    /** Pixels of the square by which the grain of a photo that is not enlarged is smoothed. */
    private const SMOOTH = 7;

    /** Pixels on the longer side of what is painted again, at most. */
    private const PAINTED = 6000;

    public static function svg(Image $ink, int $count): string
    {
        [$width, $height] = [$ink->width(), $ink->height()];
        [$small, $larger] = self::sized($ink);
        $ink = $larger > 1 ? self::enlarged($small, $larger) : $small;
        // In pixels of the picture as it came.
        $back = Affine::scale($width / $ink->width(), $height / $ink->height());
        $colours = array_map(fn (Swatch $bucket): Srgb => $bucket->colour, Background::buckets($small, $count));
        // From dark to light: each lies over the darker ones.
        usort($colours, fn (Srgb $one, Srgb $other): int => $one->luminance() <=> $other->luminance());
        $solid = $ink->alpha()->isMore(127.0)->settled();
        $marks = '';
        if ($colours !== []) {
            $nearest = FlatColours::numbered($small, $colours, $larger > 1 ? $ink : null, $larger, $larger > 1 ? 1 : self::SMOOTH);
            $nearest = ($larger > 1 && count($colours) > 2 ? Morphology::commonest($nearest, min(Morphology::MOST_SIDE, $larger | 1), count($colours)) : $nearest)->settled();
            // Each colour lies over those before it and under those after, so that no gap opens between two.
            $paths = Tracer::outlines(array_map(fn (int $i): Image => $nearest->isMore($i - 0.5)->both($solid), array_keys($colours)));
            foreach ($paths as $i => $path) {
                $marks .= $path->isEmpty() ? '' : sprintf('<path fill="%s" %s/>', $colours[$i]->toHex(), $path->attributes($back));
            }
        }

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d">%s</svg>', $width, $height, $marks);
    }

    /** How many times larger a picture is painted once it is traced, for so many of its pixels to an inch. */
    public static function factor(int $width, int $height, float $perInch, float $ppi): int
    {
        return max(1, min((int) ceil($ppi / max(1.0, $perInch)), intdiv(self::PAINTED, max(1, $width, $height))));
    }

    /** The traced shapes as pixels again, so many times larger. */
    public static function painted(Image $ink, int $count, int $factor): Image
    {
        [$width, $height] = [$ink->width() * $factor, $ink->height() * $factor];
        $svg = str_replace('<svg ', sprintf('<svg width="%d" height="%d" preserveAspectRatio="none" ', $width, $height), self::svg($ink, $count));
        $drawn = ImageFile::drawing($svg);

        return $drawn->bands() === 4 ? $drawn->embed(0, 0, $width, $height)->settled() : Image::empty($width, $height);
    }

    /** @return array{Image, int} the picture at no more than its most, and how many times larger it is to be */
    private static function sized(Image $ink): array
    {
        $side = max($ink->width(), $ink->height());

        return [($side > self::MOST_SIDE ? $ink->resized(self::MOST_SIDE / $side) : EdgeCare::withoutFringe($ink, 1.0))->settled(), max(1, min(self::LARGER, intdiv(self::MOST_SIDE, $side)))];
    }

    /** Squares of pixels under a bell of half their side: where it is half full, the edge runs. */
    private static function enlarged(Image $ink, int $by): Image
    {
        $smooth = fn (Image $bands): Image => Blur::gaussian($bands->spread(2, 2, $ink->width() + 4, $ink->height() + 4)->zoomed($by), $by / 2, 0.02)
            ->crop(2 * $by, 2 * $by, $ink->width() * $by, $ink->height() * $by)->settled();

        return $smooth($ink->band(0, 3))->asColours()->withBand($smooth($ink->alpha()));
    }
}
