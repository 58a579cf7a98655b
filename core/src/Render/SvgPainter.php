<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Inking\Join;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Image;

/** Paints outlines and drawings, crisp at any size. Paths are in inches on the sheet. */
final class SvgPainter
{
    /** The outline as it is, in one colour. */
    public static function filled(Path $path, Srgb $colour, Frame $frame): Image
    {
        return self::page($frame, sprintf('<path d="%s" fill="%s"/>', $path->toSvg(), $colour->toHex()));
    }

    /** The outline widened on all sides by a gap, white. */
    public static function widened(Path $path, float $gap, Join $join, Frame $frame): Image
    {
        $ring = $gap > 0 ? sprintf('stroke="#fff" stroke-width="%.5f" stroke-linejoin="%s" stroke-miterlimit="4"', 2 * $gap, $join->svg()) : '';

        return self::page($frame, sprintf('<path d="%s" fill="#fff" %s/>', ($gap > 0 ? $path->forStroking(self::tolerance($frame)) : $path)->toSvg(), $ring));
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
        return self::page($frame, sprintf('<g transform="%s">%s</g>', $placing->toSheet->toSvg(), (string) $nested));
    }

    /** Markup in inches on the sheet, as a window shows it. */
    public static function page(Frame $frame, string $body): Image
    {
        return Image::svg(sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="%d" height="%d"><g transform="%s">%s</g></svg>',
            $frame->width, $frame->height, $frame->fromInches()->toSvg(), $body,
        ))->asInk();
    }

    /** A tenth of a pixel in inches: finer than the eye, and no finer than need be. */
    public static function tolerance(Frame $frame): float
    {
        return 0.1 / $frame->ppi;
    }
}
