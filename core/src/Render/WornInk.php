<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/** The ink that a wear is applied to. */
final readonly class WornInk
{
    /** Ppi at which the ink is drawn to estimate how much of it lies at each field level of a texture. */
    public const PPI = 25.0;

    /** Most sampling passes over a texture, each at other random places. */
    public const LOOKS = 4;

    /** Texture pixels to an ink pixel, each way, in sampling. */
    public const FINER_LOOK = 3;

    /** Ink pixels in all passes together that give the share to a few parts in a thousand. */
    public const ENOUGH = 400_000;

    /** Ppi for wear that depends on edges, fine enough to show them. */
    public const EDGES_PPI = 75.0;

    /**
     * @param  string  $key  cache key that changes with the ink
     * @param  \Closure(float): ?Piece  $coarse  all of the ink at a given ppi, without what is shielded
     * @param  Box  $extent  the box that brush strokes (0 to 1) refer to
     * @param  ?Image  $alpha  alpha of the ink in the window that is drawn
     */
    public function __construct(
        public string $key,
        public \Closure $coarse,
        public Box $extent,
        public ?Image $alpha = null,
        /** The texture's corner for the coarse ink, if the coarse ink does not lie where the ink does. */
        public ?float $x = null,
        public ?float $y = null,
        /** @var ?\Closure(float): ?Piece like $coarse: the ink whose edges chip, if it differs from the ink that is weighed */
        public ?\Closure $edges = null,
    ) {}
}
