<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/**
 * A patterned paper, generated from a seed and some colours, so it needs no licence. Its tile is square, three bands at
 * 300 ppi, without a seam. A regular pattern is TILE wide; an organic one, in which repeats would be noticed, is as many
 * patches wide as asked for.
 */
interface Paper
{
    public const TILE = 2400;

    public const PPI = 300;

    public static function kind(): string;

    /** @param  int  $across  width in patches of Noise\Patchwork::PATCH pixels, for an organic paper */
    public static function tile(int $seed, Colours $colours, int $across): Image;
}
