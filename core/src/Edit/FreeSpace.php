<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Geometry\Box;
use TallCrow\Render\Placer;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;

/** Finds a place for a new layer where it overlaps no other: as near as possible to the upper centre of the sheet, smaller if there is little room. */
final class FreeSpace
{
    /** Sizes tried, relative to the one asked for. */
    private const SIZES = [1.0, 0.75, 0.5];

    /** Places tried along each side of the sheet. */
    private const PLACES = 25;

    /** A layer that covers at least this fraction of the sheet is a background on which others may lie. */
    private const BACKDROP = 0.5;

    /** Margin kept free around it in inches. */
    private const CLEAR = 0.1;

    /** The layer at its new place; unchanged if the sheet is full. */
    public static function placed(Layer $layer, Artwork $artwork, Placer $placer): Layer
    {
        $placement = $layer->placement;
        $box = self::box($layer, $placer);
        if ($placement === null || $box === null) {
            return $layer;
        }
        $sheet = $artwork->sheet->box();
        $taken = array_filter(array_map(fn (Layer $other): ?Box => $other->on ? self::box($other, $placer) : null, $artwork->layers));
        $taken = array_values(array_filter($taken, fn (Box $other): bool => $other->width() * $other->height() < self::BACKDROP * $sheet->width() * $sheet->height()));
        foreach (self::SIZES as $size) {
            $at = self::place($box->width() * $size, $box->height() * $size, [$box->centreX(), $box->centreY()], $taken, $sheet);
            if ($at !== null) {
                $sized = $layer->scaled($size, $placement->x, $placement->y);

                return $sized->moved(round($at[0] - $box->centreX(), 4), round($at[1] - $box->centreY(), 4));
            }
        }

        return $layer;
    }

    /** The layer made small enough for a raster picture to have the house's least ppi; drawings and words are not changed. */
    public static function fine(Layer $layer, Artwork $artwork, Placer $placer): Layer
    {
        $ppi = self::box($layer, $placer) === null ? null : $placer->effectivePpi($layer);
        $least = $artwork->brief->rule->least()->value;
        if ($layer->placement === null || $ppi === null || $ppi >= $least) {
            return $layer;
        }

        return $layer->scaled(floor($ppi / $least * 1000) / 1000, $layer->placement->x, $layer->placement->y);
    }

    /** Null if the layer cannot be drawn. */
    private static function box(Layer $layer, Placer $placer): ?Box
    {
        try {
            return $placer->reach($layer);
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return null;
        }
    }

    /**
     * @param  array{float, float}  $wish
     * @param  list<Box>  $taken
     * @return ?array{float, float} the free centre nearest to the one wished for
     */
    private static function place(float $width, float $height, array $wish, array $taken, Box $sheet): ?array
    {
        $best = null;
        $nearest = INF;
        $room = [$sheet->width() - $width, $sheet->height() - $height];
        // The wished-for place, moved onto the sheet.
        $tries = [[max($sheet->left + $width / 2, min($sheet->right - $width / 2, $wish[0])), max($sheet->top + $height / 2, min($sheet->bottom - $height / 2, $wish[1]))]];
        for ($row = 0; $row < self::PLACES; $row++) {
            for ($column = 0; $column < self::PLACES; $column++) {
                $tries[] = [$sheet->left + $width / 2 + $room[0] * $column / (self::PLACES - 1), $sheet->top + $height / 2 + $room[1] * $row / (self::PLACES - 1)];
            }
        }
        foreach ($tries as [$x, $y]) {
            $far = hypot($x - $wish[0], $y - $wish[1]);
            $own = new Box($x - $width / 2 - self::CLEAR, $y - $height / 2 - self::CLEAR, $x + $width / 2 + self::CLEAR, $y + $height / 2 + self::CLEAR);
            if (min($room) >= 0 && $far < $nearest && array_filter($taken, fn (Box $box): bool => ! $box->intersection($own)->isEmpty()) === []) {
                [$best, $nearest] = [[$x, $y], $far];
            }
        }

        return $best;
    }
}
