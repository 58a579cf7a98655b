<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/** Bands of several breadths, the same across as down; the number changes the sett. */
final class Plaid implements Paper
{
    public static function kind(): string
    {
        return 'plaid';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $bands = '';
        $at = 0;
        for ($i = 0; $at < 600; $i++) {
            $breadth = [12, 24, 48, 90][$random->getInt(0, 3)];
            $bands .= sprintf('<rect x="%d" width="%d" height="600" fill="%s" fill-opacity="0.55"/>', $at, min($breadth, 600 - $at), $colours->hex($i % max(2, count($colours->atLeast(2)))));
            $at += $breadth + [12, 30, 60][$random->getInt(0, 2)];
        }

        return Drawing::on($colours->hex(1), Drawing::repeated("$bands<g transform=\"matrix(0 1 1 0 0 0)\">$bands</g>", 600, 600));
    }
}
