<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Colour\Srgb;
use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Brown board with fibres and flecks in it. */
final class Kraft implements Paper
{
    public static function kind(): string
    {
        return 'kraft';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        [$board, $pale, $dark] = [$colours->at(0), Srgb::of(255, 250, 240), Srgb::of(40, 28, 16)];
        // With a single colour, too, it needs grain.
        $fleck = $board->mixed($dark, 0.55);
        $mottle = Field::clouds($seed, 600, 5)->linearByte(0.35, 80);
        $fibres = Lookup::bytes(Field::threads($seed + 3, 60, 2), array_map(fn (int $v): int => $v > 240 ? 150 : 0, range(0, 255)));
        $flecks = Lookup::bytes(Field::grain($seed + 4, 1.3), array_map(fn (int $v): int => $v > 250 ? 200 : 0, range(0, 255)));

        $levels = Patchwork::wide($mottle->lighter($fibres->lighter($flecks))->settled(), $seed, $across);

        return Lookup::tinted($levels, [$board->mixed($pale, 0.14), $board, $board->mixed($dark, 0.1), $board->mixed($dark, 0.3), $fleck]);
    }
}
