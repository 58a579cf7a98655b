<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Asset\FlatDrawing;
use TallCrow\Geometry\Bend;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/** Paints drawings, crisp at any size. */
final class SvgPainter
{
    /** Pixels about a piece in which its edges may lie. */
    private const RIM = 4;

    /** Pixels: a piece that is wider is drawn by its window alone. */
    private const WIDEST = 12_000;

    /** Pixels by which a bent curve may be off. */
    private const ASTRAY = 0.02;

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

        return self::inRows($body, $placing, $frame);
    }

    /** A bent piece's outlines themselves, crisp at any size; null where they cannot be had. */
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

    /** What the library makes of an edge hangs on what else lies in its row of pixels: a part is that of the whole where rows are drawn from end to end. */
    private static function inRows(string $body, Placing $placing, Frame $frame): Image
    {
        $rows = Frame::about($placing->box()->grown(self::RIM / $frame->ppi), $frame->ppi);
        if ($rows === null || $rows->width > self::WIDEST || $rows->left > $frame->left || $rows->left + $rows->width < $frame->left + $frame->width) {
            return self::page($frame, $body);
        }

        return self::page(new Frame($frame->ppi, $rows->left, $frame->top, $rows->width, $frame->height), $body)->crop($frame->left - $rows->left, 0, $frame->width, $frame->height);
    }

    /** Markup in inches on the sheet, as a window shows it. */
    private static function page(Frame $frame, string $body): Image
    {
        return ImageFile::drawing(sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="%d" height="%d"><g transform="%s">%s</g></svg>',
            $frame->width, $frame->height, $frame->fromInches()->toSvg(), $body,
        ))->asInk();
    }
}
