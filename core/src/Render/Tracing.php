<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Cutout\Background;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Raster\Image;

/** A raster of few colours as a drawing, traced by potrace: it can be recoloured, ringed and printed at any size. */
final class Tracing
{
    /** A picture is traced at this many pixels on its longer side at most. */
    private const MOST_SIDE = 3000;

    public static function svg(Image $ink, int $count): string
    {
        $shrink = min(1.0, self::MOST_SIDE / max($ink->width(), $ink->height()));
        $ink = ($shrink < 1 ? $ink->resized($shrink) : $ink)->settled();
        $colours = array_map(fn (Swatch $bucket): Srgb => $bucket->colour, Background::buckets($ink, $count));
        $solid = $ink->alpha()->isMore(127.0)->settled();
        $marks = '';
        if ($colours !== []) {
            $nearest = ColourKeys::of($ink)->nearest($colours)->settled();
            foreach ($colours as $i => $colour) {
                // Each colour lies over those before it and under those after, so that no gap opens between two.
                $path = Silhouettes::mask($nearest->isMore($i - 0.5)->both($solid));
                $marks .= $path->isEmpty() ? '' : sprintf('<path fill="%s" d="%s"/>', $colour->toHex(), $path->toSvg(2));
            }
        }

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d">%s</svg>', $ink->width(), $ink->height(), $marks);
    }
}
