<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;
use TallCrow\Texture\Wear;

/** Where the pixels of a texture lie on the sheet: shifted by the wear, and turned about the texture's corner. */
final class WearPlacement
{
    /** Grid, in inches, on which wear that moves with a piece starts: whole pixels at the usual ppis. */
    private const GRID = 0.05;

    /** Cached windows of a texture begin and end on multiples of this many pixels. */
    private const CELL = 120;

    /** What a frame shows of a tile that repeats. */
    public static function laid(Image $tile, Wear $wear, Frame $frame, float $x, float $y, bool $mixed = true): Image
    {
        return self::shown($wear, $frame, $x, $y, fn (int $left, int $top, int $width, int $height): Image => $tile->tiled(-$left, -$top, $width, $height), $mixed);
    }

    /**
     * What a frame shows of a texture.
     *
     * @param  callable(int, int, int, int): Image  $draw  draws a window of the texture: left and top from its corner, width and height, in its pixels
     * @param  bool  $mixed  whether a turned texture is interpolated between pixels
     * @param  float  $larger  the frame's pixels to one of the texture's; 1 unless it is turned
     */
    public static function shown(Wear $wear, Frame $frame, float $x, float $y, callable $draw, bool $mixed = true, float $larger = 1.0): Image
    {
        [$left, $top] = self::corner($wear, $frame->ppi, $x, $y);
        if (abs($wear->turn) < 0.01) {
            return $draw($frame->left - (int) round($left), $frame->top - (int) round($top), $frame->width, $frame->height);
        }
        // The texture is turned about its corner: draw the box of it that the turned frame lies in, then turn that into the frame.
        [$cos, $sin] = [cos(deg2rad($wear->turn)), sin(deg2rad($wear->turn))];
        [$width, $height] = [(int) ceil(($frame->width * abs($cos) + $frame->height * abs($sin)) / $larger) + 4, (int) ceil(($frame->width * abs($sin) + $frame->height * abs($cos)) / $larger) + 4];
        [$midX, $midY] = [$frame->left + $frame->width / 2 - $left, $frame->top + $frame->height / 2 - $top];
        [$u, $v] = [($midX * $cos + $midY * $sin) / $larger, ($midY * $cos - $midX * $sin) / $larger];
        [$fromX, $fromY] = [(int) round($u - $width / 2), (int) round($v - $height / 2)];

        return $draw($fromX, $fromY, $width, $height)->settled()->turnedInto($wear->turn, [$u - $fromX, $v - $fromY], $frame->width, $frame->height, $mixed, $larger);
    }

    /** @return array{float, float} the texture's corner on the sheet, in pixels */
    public static function corner(Wear $wear, float $ppi, float $x, float $y): array
    {
        return array_map(fn (float $at): float => round(round($at / self::GRID) * self::GRID * $ppi, 6), [$x + $wear->x, $y + $wear->y]);
    }

    /** @return array{float, int} start of the cells around a stretch, aligned so that the same pixels are averaged, and their length */
    public static function cells(float $from, int $length, int $by): array
    {
        $cell = $by * (int) ceil(self::CELL / $by);
        $phase = $from - $by * floor($from / $by);
        $start = $phase + floor(($from - $phase) / $cell) * $cell;

        return [$start, $cell * (int) ceil(($from + $length - $start) / $cell)];
    }
}
