<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Join;
use TallCrow\Effect\Ring;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Image;

/** Paints outlines, crisp at any size. Paths are in inches on the sheet. */
final class SvgPainter
{
    /**
     * Rings from the outermost inwards, then the fill.
     *
     * @param  list<Ring>  $rings  inmost first
     */
    public static function ink(Path $path, ?Srgb $fill, array $rings, Frame $frame): Image
    {
        $d = ($rings === [] ? $path : $path->forStroking(self::tolerance($frame)))->toSvg();
        $marks = '';
        $reach = array_sum(array_column($rings, 'width'));
        foreach (array_reverse($rings) as $ring) {
            $marks .= self::ring($reach, $ring->colour->toHex(), $ring->join, $ring->mitreLimit);
            $reach -= $ring->width;
        }
        if ($fill !== null) {
            $marks .= sprintf('<use href="#p" fill="%s"/>', $fill->toHex());
        }

        return Image::svg(self::page($frame, sprintf('<defs><path id="p" d="%s"/></defs>%s', $d, $marks)));
    }

    /** The outline widened on all sides by a gap, white. */
    public static function widened(Path $path, float $gap, Join $join, Frame $frame): Image
    {
        $ring = $gap > 0 ? self::ring($gap, '#fff', $join, 4) : '';

        return Image::svg(self::page($frame, sprintf('<defs><path id="p" d="%s"/></defs>%s<use href="#p" fill="#fff"/>', ($gap > 0 ? $path->forStroking(self::tolerance($frame)) : $path)->toSvg(), $ring)));
    }

    /** A drawing's own markup, laid as a piece of the given size in inches, its middle at 0, by a transform to the sheet. */
    public static function drawing(string $markup, Placing $placing, Frame $frame): Image
    {
        $attributes = sprintf('x="%.6f" y="%.6f" width="%.6f" height="%.6f" preserveAspectRatio="none"', -$placing->width / 2, -$placing->height / 2, $placing->width, $placing->height);
        $nested = preg_replace_callback(
            '/^<svg\b([^>]*)>/',
            fn (array $m): string => "<svg $attributes ".preg_replace('/\s(x|y|width|height|preserveAspectRatio)="[^"]*"/', '', $m[1]).'>',
            $markup,
            1,
        );
        // A self-closing root is an empty drawing, and stays one.
        $body = sprintf('<g transform="%s">%s</g>', $placing->toSheet->toSvg(), (string) $nested);

        return Image::svg(self::page($frame, $body))->asInk();
    }

    /** A tenth of a pixel: finer than the eye, and no finer than need be. */
    private static function tolerance(Frame $frame): float
    {
        return 0.1 / $frame->ppi;
    }

    private static function ring(float $reach, string $colour, Join $join, float $mitreLimit): string
    {
        return sprintf(
            '<use href="#p" fill="%s" stroke="%1$s" stroke-width="%.5f" stroke-linejoin="%s" stroke-miterlimit="%.3f"/>',
            $colour, 2 * $reach, $join->svg(), $mitreLimit,
        );
    }

    private static function page(Frame $frame, string $body): string
    {
        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="%d" height="%d"><g transform="%s">%s</g></svg>',
            $frame->width, $frame->height, $frame->fromInches()->toSvg(), $body,
        );
    }
}
