<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Asset\FlatDrawing;
use TallCrow\Geometry\Bend;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/** Renders SVGs, crisp at any size. */
final class SvgPainter
{
    /** Pixels beyond a piece's box that its antialiased edges may cover. */
    private const RIM = 4;

    /** A piece wider than this many pixels is rendered in its window alone. */
    private const WIDEST = 12_000;

    /** Greatest error, in pixels, of a bent curve. */
    private const ASTRAY = 0.02;

    /** Renders an SVG's own markup, scaled to the piece's size in inches and mapped to its place on the sheet. */
    public static function drawing(string $markup, Placing $placing, Frame $frame): Image
    {
        $attributes = sprintf('x="%.6f" y="%.6f" width="%.6f" height="%.6f" preserveAspectRatio="none"', -$placing->width / 2, -$placing->height / 2, $placing->width, $placing->height);
        $nested = preg_replace_callback(
            '/^<svg\b([^>]*)>/',
            fn (array $m): string => "<svg $attributes ".preg_replace('/\s(x|y|width|height|preserveAspectRatio)="[^"]*"/', '', $m[1]).'>',
            $markup,
            1,
        );

        // A self-closing root element is an empty drawing.
        $body = sprintf('<g transform="%s">%s</g>', $placing->toSheet->toSvg(), (string) $nested);

        return self::inRows($body, $placing, $frame);
    }

    /** Renders an SVG by bending its outlines, crisp at any size; null if its outlines cannot be extracted. */
    public static function bent(string $markup, Placing $placing, Bend $bend, Frame $frame): ?Image
    {
        [$width, $height, $toSheet] = [$placing->pictureWidth, $placing->pictureHeight, $placing->toSheet];
        $drawing = FlatDrawing::of($markup, self::ASTRAY / $frame->ppi / max($width, $height));
        if ($drawing === null) {
            return null;
        }
        $map = fn (float $x, float $y): array => $toSheet->apply(...($bend->forward)($x * $width, $y * $height));

        return self::inRows($drawing->mapped($map, self::ASTRAY / $frame->ppi, Fitting::LONGEST), $placing, $frame);
    }

    /**
     * The library's antialiasing of an edge depends on what else lies in the same pixel row, so whole rows are rendered and then cropped: a part is equal to
     * the crop of the whole.
     */
    private static function inRows(string $body, Placing $placing, Frame $frame): Image
    {
        $rows = Frame::about($placing->box()->grown(self::RIM / $frame->ppi), $frame->ppi);
        if ($rows === null || $rows->width > self::WIDEST || $rows->left > $frame->left || $rows->left + $rows->width < $frame->left + $frame->width) {
            return self::page($frame, $body);
        }

        return self::page(new Frame($frame->ppi, $rows->left, $frame->top, $rows->width, $frame->height), $body)->crop($frame->left - $rows->left, 0, $frame->width, $frame->height);
    }

    /** Renders markup in inches on the sheet into a window. */
    private static function page(Frame $frame, string $body): Image
    {
        return ImageFile::drawing(sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="%d" height="%d"><g transform="%s">%s</g></svg>',
            $frame->width, $frame->height, $frame->fromInches()->toSvg(), $body,
        ))->asInk();
    }
}
