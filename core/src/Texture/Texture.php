<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;

/**
 * A kind of wear. Its field is one 8-bit band, TILE × TILE pixels, that tiles without a seam: places of higher level are
 * worn first. A tile is 8 inches at scale 1.
 */
interface Texture
{
    public const TILE = 2400;

    public const PPI = 300;

    public static function kind(): string;

    /** Whether ink wears sooner near its edges. */
    public static function followsEdges(): bool;

    public static function field(int $seed): Image;
}
