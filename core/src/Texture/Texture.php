<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Raster\Image;

/**
 * A way in which ink wears. Its field is one 8-bit band, TILE pixels square, that meets itself at the edges: the
 * higher a place stands, the sooner it is worn. One tile is 8 inches at a scale of 1, so fields are drawn in inches.
 */
interface Texture
{
    public const TILE = 2400;

    public const PPI = 300;

    public static function kind(): string;

    /** Whether ink goes sooner the nearer it is to an edge. */
    public static function followsEdges(): bool;

    public static function field(int $seed): Image;
}
