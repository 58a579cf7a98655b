<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/** Upright stripes of a third of an inch, in all the colours in turn. */
final class Stripes implements Paper
{
    public static function kind(): string
    {
        return 'stripes';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $all = $colours->atLeast(2);
        $breadth = 100;
        // The tile holds whole sequences of all colours, so that it has no seam.
        $count = count($all) * max(1, intdiv(Paper::TILE, $breadth * count($all)));
        $marks = '';
        for ($i = 0; $i < $count; $i++) {
            $marks .= sprintf('<rect x="%.4f" width="%.4f" height="%d" fill="%s"/>', $i * Paper::TILE / $count, Paper::TILE / $count + 0.02, Paper::TILE, $all[$i % count($all)]->toHex());
        }

        return Drawing::on($colours->hex(0), $marks);
    }
}
