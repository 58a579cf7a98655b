<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/**
 * A patterned paper, made from a number and some colours and free of any licence. Its tile is three bands at 300 ppi,
 * square, and meets itself at the edges. A pattern that repeats is TILE wide; one that grew, in which a repeat would be
 * seen, is as many patches wide as it is asked for.
 */
interface Paper
{
    public const TILE = 2400;

    public const PPI = 300;

    public static function kind(): string;

    /** @param  int  $across  patches of Noise\Patchwork::PATCH pixels, for a paper that grew */
    public static function tile(int $seed, Colours $colours, int $across): Image;
}
