<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Raster\Image;

/** Where a mask has the most: the parts of a sheet that are worth a look in the print's own pixels. */
final class FullestSquares
{
    /**
     * @param  Image  $mask  255 or 0
     * @param  int  $side  pixels
     * @return list<array{int, int, int, int}> left, top, width and height of at most so many squares that have any, the fullest first; those at the
     *                                         right and the foot as far as the mask goes
     */
    public static function of(Image $mask, int $side, int $most): array
    {
        [$across, $down] = [(int) ceil($mask->width() / $side), (int) ceil($mask->height() / $side)];
        $levels = array_filter(array_values((array) unpack('C*', $mask->embed(0, 0, $side * $across, $side * $down)->shrunk($side)->toBytes())));
        arsort($levels);

        return array_map(function (int $square) use ($mask, $side, $across): array {
            [$left, $top] = [$square % $across * $side, intdiv($square, $across) * $side];

            return [$left, $top, min($side, $mask->width() - $left), min($side, $mask->height() - $top)];
        }, array_slice(array_keys($levels), 0, $most));
    }
}
