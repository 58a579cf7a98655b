<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Geometry\Box;

/**
 * The bounding box, in inches, of all printed ink of a sheet as it is drawn: masked, bent, worn, with rings, shadows and knockouts. Exact where vector outlines
 * alone bound it; elsewhere rounded outwards to a hundredth of an inch.
 */
final class InkBox
{
    private const PPI = 100.0;

    /** Alpha up to this level does not count as ink: the faint end of a glow. */
    private const NONE = 2.0;

    /** Inches beyond the sheet in which ink is still looked for. */
    private const BEYOND = 4.0;

    /**
     * Rings and shadows that reach no further than these inches beyond their piece are taken to lie on the sheet with it; a longer shadow may lie off it by
     * itself.
     */
    private const NEAR = 1.0;

    /** @return ?Box null for a sheet without any */
    public static function of(Artwork $artwork, Renderer $renderer): ?Box
    {
        $reach = self::reach($artwork, $renderer->placer);
        $sheet = $artwork->sheet->box();
        if ($reach === null) {
            return null;
        }
        // If all pieces lie on the sheet, draw the whole sheet: a proof of that is likely cached.
        $frame = Frame::sheet($artwork->sheet, self::PPI);
        $found = self::liesOn($artwork, $reach, $renderer->placer) ? self::found($artwork, $frame, $renderer) : null;
        if ($found === null || (self::touches($found, $frame) && ! self::holds($sheet, $reach))) {
            $frame = Frame::about($reach->intersection($sheet->grown(self::BEYOND)), self::PPI);
            $found = $frame === null ? null : self::found($artwork, $frame, $renderer);
        }
        if ($frame === null || $found === null) {
            return null;
        }
        [$left, $top, $width, $height] = $found;
        $at = fn (int $pixel, int $from): float => ($from + $pixel) / self::PPI;

        // Ink that touches a side of this window may continue beyond it.
        return (new Box(
            $left === 0 ? $reach->left : $at($left, $frame->left),
            $top === 0 ? $reach->top : $at($top, $frame->top),
            $left + $width === $frame->width ? $reach->right : $at($left + $width, $frame->left),
            $top + $height === $frame->height ? $reach->bottom : $at($top + $height, $frame->top),
        ))->intersection($reach);
    }

    /** Whether all printed pieces lie on the sheet, apart from rings, shadows and rough edges that reach a little beyond. */
    private static function liesOn(Artwork $artwork, Box $reach, Placer $placer): bool
    {
        $sheet = $artwork->sheet->box();
        $off = array_filter($artwork->layers, function (Layer $layer) use ($sheet, $placer): bool {
            $box = $layer->on && $layer->role->prints() ? ($placer->box($layer) ?? $placer->reach($layer)) : null;

            return $box !== null && ! self::holds($sheet, $box);
        });

        return $off === [] && self::holds($sheet->grown(self::NEAR), $reach);
    }

    private static function holds(Box $outer, Box $inner): bool
    {
        return $outer->union($inner) == $outer;
    }

    /** @param  array{int, int, int, int}  $found */
    private static function touches(array $found, Frame $frame): bool
    {
        [$left, $top, $width, $height] = $found;

        return $left === 0 || $top === 0 || $left + $width === $frame->width || $top + $height === $frame->height;
    }

    /** @return array{int, int, int, int}|null left, top, width and height of the ink in the frame's pixels */
    private static function found(Artwork $artwork, Frame $frame, Renderer $renderer): ?array
    {
        $key = json_encode([$frame->key(), $artwork->toArray(), $renderer->fingerprints($artwork->files())], JSON_THROW_ON_ERROR);
        /** @var array{int, int, int, int}|null $pixels */
        $pixels = json_decode($renderer->found("ink box $key", fn (): string => json_encode(self::drawn($artwork, $frame, $renderer), JSON_THROW_ON_ERROR)), true);

        return $pixels;
    }

    /** @return array{int, int, int, int}|null */
    private static function drawn(Artwork $artwork, Frame $frame, Renderer $renderer): ?array
    {
        return $renderer->picture($artwork, $frame, fn (LayerTrouble $trouble): null => null)->alpha()->isMore(self::NONE)->settled()->inkBox();
    }

    /** An upper bound of where ink may lie. */
    private static function reach(Artwork $artwork, Placer $placer): ?Box
    {
        $box = null;
        foreach ($artwork->layers as $layer) {
            $reach = $layer->on && $layer->role->prints() ? $placer->reach($layer) : null;
            $box = $reach === null ? $box : ($box?->union($reach) ?? $reach);
        }

        return $box;
    }
}
